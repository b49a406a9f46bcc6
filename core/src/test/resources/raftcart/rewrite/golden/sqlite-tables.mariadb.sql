-- to: postgresql mariadb
CREATE TABLE IF NOT EXISTS dome (
    dome_id bigint AUTO_INCREMENT PRIMARY KEY,
    name varchar(768) NOT NULL UNIQUE,
    opened datetime(6) DEFAULT (UTC_TIMESTAMP(6)),
    height double DEFAULT 0.5 CHECK (height >= 0),
    area double GENERATED ALWAYS AS (height * height),
    active tinyint(1) DEFAULT TRUE NOT NULL,
    size bigint unsigned,
    label varchar(70) COLLATE utf8mb4_nopad_bin,
    `a note` varchar(255) COLLATE utf8mb4_nopad_bin
);
CREATE TABLE lamp (
    dome_id bigint NOT NULL,
    lamp_no bigint NOT NULL,
    watts double,
    photo longblob,
    FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE,
    PRIMARY KEY (dome_id, lamp_no)
);
CREATE TABLE loose (
    a longtext,
    b longtext,
    c decimal(65,30)
) COLLATE utf8mb4_nopad_bin;
CREATE UNIQUE INDEX IF NOT EXISTS lamp_watts_ux ON lamp (watts DESC);
-- RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- CREATE INDEX dome_lower ON dome (lower(label), height)
ALTER TABLE lamp ADD COLUMN note longtext COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp RENAME TO lamps;
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WHERE 0;
CREATE TEMPORARY TABLE tally (
    n bigint,
    label varchar(10)
) COLLATE utf8mb4_nopad_bin;
CREATE VIEW IF NOT EXISTS lamp_view (dome, lamps) AS SELECT dome_id, count(*) FROM lamps GROUP BY dome_id;
DROP VIEW IF EXISTS lamp_view;
DROP INDEX IF EXISTS lamp_watts_ux ON lamps;
DELETE FROM sqlite_sequence WHERE name = 'dome';
DROP TABLE IF EXISTS dome_copy;

-- findings
-- 4:37: RC0627 check: Said in other words, with a difference: left out, so that rows in conflict are refused: ON CONFLICT IGNORE
-- 4:3: RC0113 check: Text in a key gets a length: name: text as varchar(768)
-- 6:3: RC0116 check: NaN and infinity are refused: height: double
-- 7:3: RC0116 check: NaN and infinity are refused: area: double
-- 8:35: RC0614 adapted: Condition made explicit: 1 for a truth value
-- 2:1: RC0409 check: Accents do not count on the target: name
-- 13:1: RC0502 adapted: Storage clauses left out: WITHOUT ROWID
-- 13:45: RC0410 check: Key is not checked on the source: rows that refer to nothing are refused now
-- 13:142: RC0116 check: NaN and infinity are refused: watts: double
-- 13:45: RC0406 check: Foreign key is checked at once: checked at once
-- 14:21: RC0111 check: Type without counterpart crosses as text or bytes: a: without a type, as text
-- 14:32: RC0110 check: Number without precision is bounded: c: number without precision as decimal(65,30)
-- 15:1: RC0609 adapted: Said in other words: rows with NULL in the key are no duplicates of each other, so the condition is not needed
-- 16:1: RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- 22:1: RC0502 adapted: Storage clauses left out: STRICT
-- 26:13: RC0616 check: Tables of the engine itself: sqlite_sequence
