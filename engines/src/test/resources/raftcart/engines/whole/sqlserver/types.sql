CREATE TABLE sky_sqls_1 (
  id INTEGER NOT NULL,
  c01 bit,
  c02 tinyint,
  c03 smallint,
  c04 int,
  c05 bigint,
  c06 decimal,
  c07 decimal(10,2),
  c08 decimal(38,38),
  c09 numeric(5),
  c10 money,
  c11 smallmoney,
  c12 float,
  PRIMARY KEY (id)
);
GO
CREATE TABLE sky_sqls_2 (
  id INTEGER NOT NULL,
  c13 float(24),
  c14 float(53),
  c15 real,
  c16 date,
  c17 datetime,
  c18 datetime2,
  c19 datetime2(0),
  c20 datetime2(3),
  c21 smalldatetime,
  c22 datetimeoffset,
  c23 datetimeoffset(0),
  c24 time,
  PRIMARY KEY (id)
);
GO
CREATE TABLE sky_sqls_3 (
  id INTEGER NOT NULL,
  c25 time(3),
  c26 char,
  c27 char(10),
  c28 varchar,
  c29 varchar(50),
  c30 varchar(8000),
  c31 varchar(max),
  c32 text,
  c33 nchar(10),
  c34 nvarchar(50),
  c35 nvarchar(4000),
  c36 nvarchar(max),
  PRIMARY KEY (id)
);
GO
CREATE TABLE sky_sqls_4 (
  id INTEGER NOT NULL,
  c37 ntext,
  c38 binary(16),
  c39 varbinary(50),
  c40 varbinary(max),
  c41 image,
  c42 uniqueidentifier,
  c43 xml,
  c44 sql_variant,
  c45 hierarchyid,
  c46 geography,
  c47 geometry,
  c48 rowversion,
  PRIMARY KEY (id)
);
GO
CREATE TABLE sky_sqls_5 (
  id INTEGER NOT NULL,
  c49 sysname,
  c50 dec(9,2),
  c51 integer,
  c52 double precision,
  c53 character varying(20),
  c54 national character varying(30),
  PRIMARY KEY (id)
);
GO
