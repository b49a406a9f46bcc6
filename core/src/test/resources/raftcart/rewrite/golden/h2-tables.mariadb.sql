-- to: postgresql mariadb
CREATE TABLE IF NOT EXISTS dome (
    dome_id int AUTO_INCREMENT PRIMARY KEY,
    name varchar(40) COLLATE utf8mb4_nopad_bin NOT NULL UNIQUE,
    label varchar(20),
    opened datetime(3) DEFAULT (UTC_TIMESTAMP(3)) NOT NULL,
    height decimal(5,2) DEFAULT 0 CHECK (height >= 0),
    area decimal(10,4) GENERATED ALWAYS AS (height * height),
    kind enum('round', 'slit') DEFAULT 'round',
    tags json,
    doc json,
    token uuid DEFAULT (UUID()),
    active tinyint(1) DEFAULT TRUE NOT NULL,
    changed datetime(6) DEFAULT CURRENT_TIMESTAMP(6) ON UPDATE CURRENT_TIMESTAMP(6)
);
ALTER TABLE dome AUTO_INCREMENT = 10;
CREATE TABLE lamp (
    dome_id int NOT NULL,
    lamp_no smallint NOT NULL,
    watts double,
    photo longblob,
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE ON UPDATE RESTRICT
);
CREATE UNIQUE INDEX IF NOT EXISTS lamp_watts_ux ON lamp (watts DESC);
ALTER TABLE lamp ADD COLUMN IF NOT EXISTS note varchar(200) COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp MODIFY COLUMN note varchar(400) COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp MODIFY COLUMN note varchar(400) COLLATE utf8mb4_nopad_bin DEFAULT 'none';
ALTER TABLE lamp ALTER COLUMN note SET DEFAULT NULL;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp ADD CONSTRAINT lamp_ck CHECK (watts > 0);
ALTER TABLE lamp DROP CONSTRAINT IF EXISTS lamp_ck;
ALTER TABLE dome AUTO_INCREMENT = 100;
ALTER TABLE lamp RENAME TO lamps;
CREATE SEQUENCE IF NOT EXISTS shift_seq START WITH 1 INCREMENT BY 2 CACHE 20;
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WHERE FALSE;
CREATE TEMPORARY TABLE tally (
    n int,
    label varchar(10)
) COLLATE utf8mb4_nopad_bin;
CREATE OR REPLACE VIEW lamp_view (dome, lamps) AS
SELECT dome_id, COUNT(*) FROM lamps GROUP BY dome_id;
CREATE TABLE plate (
    plate_id bigint AUTO_INCREMENT NOT NULL PRIMARY KEY,
    mag decimal(5,2) DEFAULT 0 NOT NULL CHECK (mag < 40),
    data varbinary(16),
    span longtext
);
ALTER TABLE plate MODIFY COLUMN mag decimal(5,2) DEFAULT 0 NOT NULL COMMENT 'it''s faint' CHECK (mag < 40);
DROP VIEW IF EXISTS lamp_view;
TRUNCATE TABLE lamps;
DROP TABLE IF EXISTS dome_copy;

-- findings
-- 3:3: RC0627 check: Said in other words, with a difference: the target numbers dome_id from 1 and by 1, the source otherwise
-- 6:3: RC0114 check: Instant becomes date and time in UTC: opened: datetime(3) in UTC
-- 10:3: RC0115 check: Array becomes a JSON array: tags: array as json
-- 12:22: RC0608 adapted: Function spelled otherwise: RANDOM_UUID means new_uuid
-- 2:1: RC0409 check: Accents do not count on the target: label
-- 16:1: RC0502 adapted: Storage clauses left out: CACHED
-- 16:76: RC0116 check: NaN and infinity are refused: watts: double
-- 17:1: RC0502 adapted: Storage clauses left out: NULLS LAST of an index
-- 18:1: RC0627 check: Said in other words, with a difference: note stands elsewhere among the columns, which SELECT * shows
-- 19:1: RC0609 adapted: Said in other words: the whole definition of note
-- 20:1: RC0609 adapted: Said in other words: the whole definition of note
-- 24:22: RC0502 adapted: Storage clauses left out: NOCHECK
-- 30:1: RC0502 adapted: Storage clauses left out: NOT PERSISTENT
-- 32:1: RC0609 adapted: Said in other words: magnitude: its columns get the type and the checks themselves
-- 33:96: RC0111 check: Type without counterpart crosses as text or bytes: span: interval day to second as longtext
-- 34:1: RC0609 adapted: Said in other words: the whole definition of mag
-- 37:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
