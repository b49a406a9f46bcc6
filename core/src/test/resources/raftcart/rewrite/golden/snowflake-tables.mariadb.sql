-- to: postgresql mariadb
DROP TABLE IF EXISTS dome;
CREATE TABLE dome (
    dome_id bigint AUTO_INCREMENT PRIMARY KEY,
    name varchar(40) COLLATE utf8mb4_nopad_bin NOT NULL COMMENT 'its name' UNIQUE,
    label varchar(20),
    opened datetime(3) DEFAULT (UTC_TIMESTAMP(3)) NOT NULL,
    height decimal(5,2) DEFAULT 0,
    doc json,
    tags json,
    ratio double,
    data varbinary(16),
    active tinyint(1) DEFAULT TRUE
) COMMENT = 'Domes';
ALTER TABLE dome AUTO_INCREMENT = 10;
CREATE TABLE IF NOT EXISTS lamp (
    dome_id bigint NOT NULL,
    lamp_no bigint NOT NULL,
    watts double,
    bought date,
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES dome (dome_id)
);
ALTER TABLE lamp ADD COLUMN note varchar(200) COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp MODIFY COLUMN note varchar(400) COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp MODIFY COLUMN note varchar(400) COLLATE utf8mb4_nopad_bin DEFAULT 'none';
ALTER TABLE lamp ALTER COLUMN note SET DEFAULT NULL;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp DROP PRIMARY KEY;
ALTER TABLE lamp ADD UNIQUE (bought);
ALTER TABLE lamp RENAME TO lamps;
CREATE SEQUENCE shift_seq START WITH 1 INCREMENT BY 2;
CREATE TABLE dome_copy AS
SELECT dome_id, name FROM dome WHERE 1 = 0;
CREATE TEMPORARY TABLE tally (
    n bigint,
    label varchar(10)
) COLLATE utf8mb4_nopad_bin;
CREATE OR REPLACE VIEW lamp_view (dome, lamps) AS
SELECT dome_id, COUNT(*) FROM lamps GROUP BY dome_id;
ALTER TABLE lamps COMMENT = 'Lamps';
DROP VIEW IF EXISTS lamp_view;
TRUNCATE TABLE lamps;
DROP TABLE IF EXISTS dome_copy;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: OR REPLACE
-- 2:1: RC0502 adapted: Storage clauses left out: CLUSTER BY (opened) DATA_RETENTION_TIME_IN_DAYS = 7
-- 3:3: RC0627 check: Said in other words, with a difference: the target numbers dome_id from 1 and by 1, the source otherwise
-- 3:59: RC0410 check: Key is not checked on the source: rows that have the same key are refused now
-- 4:29: RC0410 check: Key is not checked on the source: rows that have the same key are refused now
-- 6:3: RC0114 check: Instant becomes date and time in UTC: opened: datetime(3) in UTC
-- 10:3: RC0116 check: NaN and infinity are refused: ratio: double
-- 2:1: RC0409 check: Accents do not count on the target: label
-- 14:65: RC0123 adapted: Decimal number as a whole number of 64 bits: lamp_no: smallint of 38 digits as a whole number of 64 bits
-- 14:92: RC0116 check: NaN and infinity are refused: watts: double
-- 14:119: RC0410 check: Key is not checked on the source: rows that have the same key are refused now
-- 14:170: RC0410 check: Key is not checked on the source: rows that refer to nothing are refused now
-- 16:1: RC0609 adapted: Said in other words: the whole definition of note
-- 21:22: RC0410 check: Key is not checked on the source: rows that have the same key are refused now
-- 24:1: RC0502 adapted: Storage clauses left out: TRANSIENT
-- 25:31: RC0123 adapted: Decimal number as a whole number of 64 bits: n: integer of 38 digits as a whole number of 64 bits
-- 26:1: RC0502 adapted: Storage clauses left out: SECURE
-- 29:1: RC0502 adapted: Storage clauses left out: IF EXISTS
-- 30:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
