CREATE TABLE sky_mari_1 (
  id INTEGER NOT NULL,
  c01 tinyint(1),
  c02 bit(1),
  c03 inet6,
  c04 inet4,
  c05 uuid,
  c06 json,
  c07 longtext,
  c08 datetime(6),
  c09 timestamp(6) null,
  c10 year,
  c11 decimal(20,6),
  c12 double unsigned,
  PRIMARY KEY (id)
);
CREATE TABLE sky_mari_2 (
  id INTEGER NOT NULL,
  c13 varchar(100) character set latin1 collate latin1_german1_ci,
  c14 varchar(64) compressed,
  c15 blob,
  c16 enum('a','b') character set utf8mb3,
  c17 set('a','b'),
  c18 bigint(20) unsigned zerofill,
  PRIMARY KEY (id)
);
