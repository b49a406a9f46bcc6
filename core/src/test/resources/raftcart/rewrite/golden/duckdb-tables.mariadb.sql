-- to: postgresql mariadb
CREATE SEQUENCE IF NOT EXISTS dome_seq START WITH 10 INCREMENT BY 5;
DROP TABLE IF EXISTS dome;
CREATE TABLE dome (
    dome_id int DEFAULT (NEXTVAL(dome_seq)) PRIMARY KEY,
    name varchar(768) NOT NULL UNIQUE,
    opened datetime(6) DEFAULT (UTC_TIMESTAMP(6)) NOT NULL,
    height decimal(5,2) DEFAULT 0 CHECK (height >= 0),
    area decimal(10,4) GENERATED ALWAYS AS (height * height),
    kind enum('round', 'slit'),
    tags json,
    doc json,
    size bigint unsigned,
    huge decimal(39,0),
    ratio float,
    token uuid DEFAULT (UUID()),
    place longtext
) COLLATE utf8mb4_nopad_bin;
CREATE TABLE lamp (
    dome_id int,
    lamp_no smallint NOT NULL,
    watts double,
    bought date DEFAULT (CURRENT_DATE),
    photo longblob,
    FOREIGN KEY (dome_id) REFERENCES dome (dome_id),
    PRIMARY KEY (dome_id, lamp_no)
);
CREATE UNIQUE INDEX lamp_watts_ux ON lamp (watts);
-- RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- CREATE INDEX dome_lower ON dome (lower(name))
ALTER TABLE lamp ADD COLUMN IF NOT EXISTS note longtext COLLATE utf8mb4_nopad_bin DEFAULT 'none';
ALTER TABLE lamp MODIFY COLUMN note longtext COLLATE utf8mb4_nopad_bin DEFAULT 'none';
ALTER TABLE lamp MODIFY COLUMN note longtext COLLATE utf8mb4_nopad_bin DEFAULT 'none';
ALTER TABLE lamp MODIFY COLUMN note longtext COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp ALTER COLUMN note DROP DEFAULT;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp RENAME TO lamps;
CREATE TABLE plate AS SELECT 1 AS plate_id, 'V' AS band;
CREATE TEMPORARY TABLE tally (
    n int,
    label varchar(10)
) COLLATE utf8mb4_nopad_bin;
CREATE OR REPLACE VIEW lamp_view (dome, lamps) AS SELECT dome_id, count(*) FROM lamps GROUP BY dome_id;
ALTER TABLE plate COMMENT = 'Plates';
DROP VIEW IF EXISTS lamp_view;
TRUNCATE TABLE lamps;
DROP TABLE IF EXISTS plate;

-- findings
-- 3:1: RC0502 adapted: Storage clauses left out: OR REPLACE
-- 5:3: RC0113 check: Text in a key gets a length: name: text as varchar(768)
-- 6:3: RC0114 check: Instant becomes date and time in UTC: opened: datetime(6) in UTC
-- 10:3: RC0115 check: Array becomes a JSON array: tags: array as json
-- 14:3: RC0116 check: NaN and infinity are refused: ratio: float
-- 15:22: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 16:3: RC0111 check: Type without counterpart crosses as text or bytes: place: struct(x integer , y integer) as longtext
-- 18:90: RC0116 check: NaN and infinity are refused: watts: double
-- 20:1: RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- 22:1: RC0609 adapted: Said in other words: the whole definition of note
-- 23:1: RC0627 check: Said in other words, with a difference: the values of note are converted by USING on the source, which is left out
-- 23:1: RC0609 adapted: Said in other words: the whole definition of note
-- 24:1: RC0609 adapted: Said in other words: the whole definition of note
-- 29:1: RC0105 adapted: Enumeration becomes a named type: band: its columns get a check each
-- 36:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
