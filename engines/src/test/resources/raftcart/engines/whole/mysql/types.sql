CREATE TABLE sky_mysq_1 (
  id INTEGER NOT NULL,
  c01 tinyint,
  c02 tinyint(1),
  c03 tinyint(4) unsigned,
  c04 bool,
  c05 boolean,
  c06 smallint(6),
  c07 smallint unsigned,
  c08 mediumint,
  c09 mediumint unsigned,
  c10 int,
  c11 int(11),
  c12 int(10) unsigned zerofill,
  PRIMARY KEY (id)
);
CREATE TABLE sky_mysq_2 (
  id INTEGER NOT NULL,
  c13 bigint,
  c14 bigint(20) unsigned,
  c15 decimal,
  c16 decimal(10,2),
  c17 decimal(65,30),
  c18 decimal(10,0) unsigned,
  c19 numeric(5),
  c20 fixed(6,2),
  c21 float,
  c22 float(7,3),
  c23 double,
  c24 double(10,4),
  PRIMARY KEY (id)
);
CREATE TABLE sky_mysq_3 (
  id INTEGER NOT NULL,
  c25 double unsigned,
  c26 real,
  c27 bit,
  c28 bit(1),
  c29 bit(8),
  c30 bit(64),
  c31 date,
  c32 datetime,
  c33 datetime(6),
  c34 timestamp null,
  c35 timestamp(3) null,
  c36 time,
  PRIMARY KEY (id)
);
CREATE TABLE sky_mysq_4 (
  id INTEGER NOT NULL,
  c37 time(6),
  c38 year,
  c39 year(4),
  c40 char,
  c41 char(10),
  c42 char(255),
  c43 varchar(50),
  c44 varchar(5000),
  c45 tinytext,
  c46 text,
  c47 text(500),
  c48 mediumtext,
  PRIMARY KEY (id)
);
CREATE TABLE sky_mysq_5 (
  id INTEGER NOT NULL,
  c49 longtext,
  c50 binary(16),
  c51 varbinary(50),
  c52 tinyblob,
  c53 blob,
  c54 mediumblob,
  c55 longblob,
  c56 enum('a','b','it''s'),
  c57 set('x','y'),
  c58 json,
  c59 char(36) character set ascii,
  c60 varchar(20) character set utf8mb4 collate utf8mb4_bin,
  PRIMARY KEY (id)
);
CREATE TABLE sky_mysq_6 (
  id INTEGER NOT NULL,
  c61 national varchar(10),
  c62 geometry,
  c63 point,
  c64 dec(4,1),
  c65 integer,
  c66 character varying(9),
  c67 serial,
  PRIMARY KEY (id)
);
