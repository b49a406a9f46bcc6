-- to: postgresql mariadb
CREATE TABLE IF NOT EXISTS dome (
    dome_id bigint AUTO_INCREMENT NOT NULL,
    name varchar(40) NOT NULL,
    opened datetime(6) NOT NULL,
    height decimal(5,2) DEFAULT 0,
    area decimal(10,4) GENERATED ALWAYS AS (height * height) STORED,
    tags json,
    doc json,
    token uuid DEFAULT (UUID()) NOT NULL,
    active tinyint(1) DEFAULT TRUE NOT NULL,
    data longblob,
    CONSTRAINT dome_pkey PRIMARY KEY (dome_id),
    CONSTRAINT dome_name_key UNIQUE (name),
    CONSTRAINT dome_height_ck CHECK (height >= 0)
) COLLATE utf8mb4_nopad_bin;
CREATE INDEX dome_opened_idx ON dome (opened DESC);
CREATE TABLE lamp (
    dome_id bigint NOT NULL,
    lamp_no smallint NOT NULL,
    watts double,
    bought date,
    FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE,
    PRIMARY KEY (dome_id, lamp_no)
);
CREATE INDEX lamp_bought_idx ON lamp (bought);
CREATE UNIQUE INDEX lamp_watts_ux ON lamp (watts DESC);
ALTER TABLE lamp ADD COLUMN note longtext COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp MODIFY COLUMN note longtext COLLATE utf8mb4_nopad_bin DEFAULT 'none';
ALTER TABLE lamp ALTER COLUMN note SET DEFAULT NULL;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp RENAME TO lamps;
CREATE SEQUENCE shift_seq START WITH 1 INCREMENT BY 2;
CREATE TABLE dome_copy AS SELECT dome_id, name FROM dome WHERE false;
CREATE VIEW lamp_view (dome, lamps) AS SELECT dome_id, count(*) FROM lamps GROUP BY dome_id;
ALTER TABLE dome COMMENT = 'Domes';
DROP VIEW IF EXISTS lamp_view;
TRUNCATE TABLE lamps;
DROP TABLE IF EXISTS dome_copy;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: FAMILY primary (dome_id , name , opened , height , doc)
-- 3:3: RC0627 check: Said in other words, with a difference: dome_id: left out: numbers for it by unique_rowid(), which are of the clock
-- 5:3: RC0114 check: Instant becomes date and time in UTC: opened: datetime(6) in UTC
-- 5:3: RC0627 check: Said in other words, with a difference: the default of opened is left out: MariaDB has no cast to timestamps with a zone
-- 8:3: RC0115 check: Array becomes a JSON array: tags: array as json
-- 10:31: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 15:3: RC0502 adapted: Storage clauses left out: INCLUDE (height)
-- 16:3: RC0627 check: Said in other words, with a difference: the index dome_doc_idx is left out, as the target has none on long texts and bytes such as doc
-- 20:110: RC0116 check: NaN and infinity are refused: watts: double
-- 21:1: RC0609 adapted: Said in other words: rows with NULL in the key are no duplicates of each other, so the condition is not needed
-- 23:1: RC0609 adapted: Said in other words: the whole definition of note
-- 30:1: RC0105 adapted: Enumeration becomes a named type: band: its columns get a check each
-- 34:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
