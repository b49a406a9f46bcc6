-- to: mariadb oracle sqlserver
CREATE TABLE IF NOT EXISTS dome (
    dome_id int AUTO_INCREMENT,
    name varchar(40) NOT NULL,
    opened datetime(3) DEFAULT (UTC_TIMESTAMP(3)) NOT NULL,
    height decimal(5,2) DEFAULT 0,
    area decimal(65,30) GENERATED ALWAYS AS (height * height) STORED,
    tags json DEFAULT '[]',
    doc json,
    `key` uuid DEFAULT (UUID()),
    active tinyint(1) DEFAULT TRUE NOT NULL,
    CONSTRAINT dome_pk PRIMARY KEY (dome_id),
    CONSTRAINT dome_name_uk UNIQUE (name),
    CONSTRAINT dome_height_ck CHECK (height >= 0 AND height < 99.5)
) COLLATE utf8mb4_nopad_bin;
ALTER TABLE dome AUTO_INCREMENT = 10;
CREATE TABLE lamp (
    dome_id int,
    lamp_no smallint NOT NULL,
    watts double,
    bought date DEFAULT (CURRENT_DATE),
    photo longblob,
    FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE,
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CHECK (lamp_no > 0)
);
CREATE TABLE shift (
    shift_id int AUTO_INCREMENT NOT NULL PRIMARY KEY,
    dome_id int,
    lamp_no smallint,
    remark longtext,
    FOREIGN KEY (dome_id, lamp_no) REFERENCES lamp (dome_id, lamp_no) ON UPDATE CASCADE
) COLLATE utf8mb4_nopad_bin;
CREATE UNIQUE INDEX IF NOT EXISTS lamp_bought_ux ON lamp (bought DESC);
CREATE INDEX shift_remark_idx ON shift (remark(190));
ALTER TABLE shift ADD COLUMN IF NOT EXISTS note varchar(200) COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE shift MODIFY COLUMN note varchar(400) COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE shift MODIFY COLUMN note varchar(400) COLLATE utf8mb4_nopad_bin DEFAULT 'none';
ALTER TABLE shift ALTER COLUMN note SET DEFAULT NULL;
ALTER TABLE shift RENAME COLUMN note TO notes;
ALTER TABLE shift DROP COLUMN IF EXISTS notes;
ALTER TABLE lamp DROP CONSTRAINT lamp_lamp_no_check;
ALTER TABLE lamp ADD CONSTRAINT lamp_watts_ck CHECK (watts > 0);
-- RC0602 by hand: No counterpart on the target: another name for a constraint cannot be said in mariadb
-- ALTER TABLE lamp RENAME CONSTRAINT lamp_watts_ck TO lamp_power_ck
ALTER TABLE lamp DROP CONSTRAINT lamp_power_ck;
ALTER TABLE lamp RENAME INDEX lamp_bought_ux TO lamp_when_ux;
ALTER TABLE dome AUTO_INCREMENT = 100;
ALTER TABLE shift AUTO_INCREMENT = 50;
ALTER TABLE lamp RENAME TO lamps;
CREATE TABLE dome_like (
    dome_id int NOT NULL,
    name varchar(40) NOT NULL,
    opened datetime(3) DEFAULT (UTC_TIMESTAMP(3)) NOT NULL,
    height decimal(5,2) DEFAULT 0,
    area decimal(65,30),
    tags json DEFAULT '[]',
    doc json,
    `key` uuid DEFAULT (UUID()),
    active tinyint(1) DEFAULT TRUE NOT NULL
) COLLATE utf8mb4_nopad_bin;
CREATE TABLE dome_copy AS
SELECT * FROM (SELECT dome_id, name FROM dome) source_rows_ WHERE 1 = 0;
CREATE TEMPORARY TABLE tally (
    n int,
    label varchar(10)
) COLLATE utf8mb4_nopad_bin;
CREATE SEQUENCE IF NOT EXISTS pass_seq START WITH 1 INCREMENT BY 2 MINVALUE 1 CACHE 20;
CREATE OR REPLACE VIEW lamp_view (dome, lamps) AS SELECT dome_id, count(*) FROM lamps GROUP BY dome_id;
-- RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
-- CREATE MATERIALIZED VIEW lamp_totals AS SELECT dome_id, sum(watts) AS power FROM lamps GROUP BY dome_id WITH NO DATA
CREATE TABLE plate (
    plate_id bigint AUTO_INCREMENT NOT NULL PRIMARY KEY,
    band enum('U', 'B', 'V') DEFAULT 'V' NOT NULL,
    mag decimal(5,2) DEFAULT 0 NOT NULL CHECK (mag < 40),
    place longtext
);
ALTER TABLE plate COMMENT = 'Plates';
ALTER TABLE plate MODIFY COLUMN mag decimal(5,2) DEFAULT 0 NOT NULL COMMENT 'it''s faint' CHECK (mag < 40);
DROP VIEW IF EXISTS lamp_view;
TRUNCATE TABLE shift;
DELETE FROM lamps;
DROP TABLE IF EXISTS dome_like;
DROP TABLE IF EXISTS dome_copy;
CREATE TABLE visit (
    visit_id int PRIMARY KEY,
    room int NOT NULL,
    during longtext NOT NULL,
    code longtext CHECK (code REGEXP '^[a-z]+$'),
    tags json DEFAULT '["a"]' CHECK (CASE WHEN JSON_LENGTH(tags) > 0 THEN JSON_LENGTH(tags) END < 5),
    label longtext
) COLLATE utf8mb4_nopad_bin;

-- findings
-- 3:3: RC0627 check: Said in other words, with a difference: the target numbers dome_id from 1 and by 1, the source otherwise
-- 5:3: RC0114 check: Instant becomes date and time in UTC: opened: datetime(3) in UTC
-- 7:3: RC0110 check: Number without precision is bounded: area: number without precision as decimal(65,30)
-- 8:3: RC0115 check: Array becomes a JSON array: tags: array as json
-- 9:3: RC0118 check: JSON without the source's own comparison: doc: jsonb as json
-- 10:20: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 16:3: RC0116 check: NaN and infinity are refused: watts: double
-- 21:3: RC0627 check: Said in other words, with a difference: a constraint that nothing else can say is left out: EXCLUDE USING gist (bought WITH =)
-- 24:3: RC0406 check: Foreign key is checked at once: checked at once
-- 25:1: RC0502 adapted: Storage clauses left out: CONCURRENTLY
-- 25:1: RC0502 adapted: Storage clauses left out: NULLS LAST of an index
-- 25:1: RC0502 adapted: Storage clauses left out: INCLUDE
-- 26:1: RC0502 adapted: Storage clauses left out: text_pattern_ops
-- 26:1: RC0609 adapted: Said in other words: the beginning of remark is indexed
-- 28:1: RC0609 adapted: Said in other words: the whole definition of note
-- 32:22: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 33:1: RC0502 adapted: Storage clauses left out: VALIDATE CONSTRAINT lamp_watts_ck
-- 34:1: RC0602 by hand: No counterpart on the target: another name for a constraint cannot be said in mariadb
-- 38:1: RC0609 adapted: Said in other words: the numbers of shift.shift_id
-- 40:1: RC0609 adapted: Said in other words: the columns of the table that is copied
-- 5:3: RC0114 check: Instant becomes date and time in UTC: opened: datetime(3) in UTC
-- 7:3: RC0110 check: Number without precision is bounded: area: number without precision as decimal(65,30)
-- 8:3: RC0115 check: Array becomes a JSON array: tags: array as json
-- 9:3: RC0118 check: JSON without the source's own comparison: doc: jsonb as json
-- 10:20: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 42:1: RC0627 check: Said in other words, with a difference: left out: ON COMMIT DROP
-- 45:1: RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
-- 46:1: RC0105 adapted: Enumeration becomes a named type: band: its columns get a check each
-- 47:1: RC0609 adapted: Said in other words: magnitude: its columns get the type and the checks themselves
-- 48:109: RC0111 check: Type without counterpart crosses as text or bytes: place: point as longtext
-- 50:1: RC0609 adapted: Said in other words: the whole definition of mag
-- 51:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
-- 52:1: RC0609 adapted: Said in other words: rows of lamps, to which others refer, are deleted
-- 53:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
-- 57:3: RC0111 check: Type without counterpart crosses as text or bytes: during: tsrange as longtext
-- 59:41: RC0608 adapted: Function spelled otherwise: array_length means array_last
-- 59:3: RC0115 check: Array becomes a JSON array: tags: array as json
-- 60:3: RC0627 check: Said in other words, with a difference: what computes label is left out: the function initcap with 1 argument(s) has no counterpart in mariadb
-- 61:3: RC0627 check: Said in other words, with a difference: a constraint that nothing else can say is left out: EXCLUDE USING gist (room WITH = , during WITH &&) WHERE (room > 0)
