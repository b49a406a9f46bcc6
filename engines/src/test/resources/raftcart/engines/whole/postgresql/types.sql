CREATE TABLE sky_post_1 (
  id INTEGER NOT NULL,
  c01 smallint,
  c02 integer,
  c03 bigint,
  c04 int2,
  c05 int8,
  c06 numeric,
  c07 numeric(10,2),
  c08 numeric(5,-2),
  c09 numeric(3,5),
  c10 decimal(40,20),
  c11 real,
  c12 double precision,
  PRIMARY KEY (id)
);
CREATE TABLE sky_post_2 (
  id INTEGER NOT NULL,
  c13 float4,
  c14 float8,
  c15 float(10),
  c16 money,
  c17 char,
  c18 char(10),
  c19 bpchar,
  c20 varchar,
  c21 varchar(50),
  c22 text,
  c23 citext,
  c24 name,
  PRIMARY KEY (id)
);
CREATE TABLE sky_post_3 (
  id INTEGER NOT NULL,
  c25 bytea,
  c26 date,
  c27 time,
  c28 time(3),
  c29 timetz,
  c30 timestamp,
  c31 timestamp(0),
  c32 timestamptz,
  c33 timestamp(3) with time zone,
  c34 interval,
  c35 interval day to second,
  c36 interval year to month,
  PRIMARY KEY (id)
);
CREATE TABLE sky_post_4 (
  id INTEGER NOT NULL,
  c37 boolean,
  c38 uuid,
  c39 json,
  c40 jsonb,
  c41 xml,
  c42 inet,
  c43 cidr,
  c44 macaddr,
  c45 macaddr8,
  c46 bit(3),
  c47 bit varying(10),
  c48 bit,
  PRIMARY KEY (id)
);
CREATE TABLE sky_post_5 (
  id INTEGER NOT NULL,
  c49 point,
  c50 line,
  c51 box,
  c52 path,
  c53 polygon,
  c54 circle,
  c55 lseg,
  c56 tsvector,
  c57 tsquery,
  c58 int4range,
  c59 numrange,
  c60 tstzrange,
  PRIMARY KEY (id)
);
CREATE TABLE sky_post_6 (
  id INTEGER NOT NULL,
  c61 daterange,
  c62 oid,
  c63 integer[],
  c64 text[],
  c65 numeric(5,2)[],
  c66 integer[][],
  c67 hstore,
  c68 pg_lsn,
  c69 "char",
  c70 serial,
  c71 bigserial,
  c72 smallserial,
  PRIMARY KEY (id)
);
CREATE TABLE sky_null (never integer DEFAULT NULL NOT NULL, may integer DEFAULT NULL);
