-- to: postgresql mariadb
CREATE TABLE dome (
    dome_id int AUTO_INCREMENT,
    name varchar(40) NOT NULL,
    opened datetime(6) DEFAULT CURRENT_TIMESTAMP(6) NOT NULL,
    height decimal(5,2) DEFAULT 0,
    area decimal(38,10) GENERATED ALWAYS AS (height * height),
    mag decimal(5,2) DEFAULT 0 NOT NULL CHECK (mag < 40),
    remark longtext COLLATE utf8mb4_nopad_bin,
    notes longtext COLLATE utf8mb4_nopad_bin,
    photo longblob,
    ratio float,
    active tinyint(1) DEFAULT TRUE,
    CONSTRAINT dome_pk PRIMARY KEY (dome_id),
    CONSTRAINT dome_name_uk UNIQUE (name),
    CONSTRAINT dome_height_ck CHECK (height >= 0)
);
ALTER TABLE dome AUTO_INCREMENT = 10;
CREATE TABLE lamp (
    dome_id int NOT NULL,
    lamp_no smallint NOT NULL,
    watts double,
    bought date DEFAULT (CURRENT_DATE),
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE
);
CREATE UNIQUE INDEX lamp_watts_ux ON lamp (watts DESC);
-- RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- CREATE INDEX dome_upper ON dome COMPUTED BY (UPPER(name))
ALTER TABLE lamp ADD COLUMN note varchar(200) COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp ADD COLUMN extra int;
ALTER TABLE lamp MODIFY COLUMN note varchar(400) COLLATE utf8mb4_nopad_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp MODIFY COLUMN note varchar(400) COLLATE utf8mb4_nopad_bin DEFAULT 'none';
ALTER TABLE lamp ALTER COLUMN note SET DEFAULT NULL;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp DROP COLUMN extra;
ALTER TABLE lamp ADD CONSTRAINT lamp_ck CHECK (watts > 0);
ALTER TABLE lamp DROP CONSTRAINT lamp_ck;
ALTER TABLE dome AUTO_INCREMENT = 100;
CREATE SEQUENCE shift_gen;
ALTER SEQUENCE shift_gen RESTART WITH 51;
CREATE SEQUENCE shift_seq START WITH 1 INCREMENT BY 2;
CREATE TEMPORARY TABLE tally (
    n int,
    label varchar(10)
) COLLATE utf8mb4_nopad_bin;
DROP TABLE IF EXISTS plate;
CREATE TABLE plate (
    plate_id bigint NOT NULL PRIMARY KEY,
    band char(1) DEFAULT 'V'
) COLLATE utf8mb4_nopad_bin;
CREATE OR REPLACE VIEW lamp_view (dome, lamps) AS
SELECT dome_id, COUNT(*) FROM lamp GROUP BY dome_id;
ALTER TABLE plate COMMENT = 'Plates';
ALTER TABLE plate MODIFY COLUMN band char(1) COLLATE utf8mb4_nopad_bin DEFAULT 'V' COMMENT 'it''s a filter';
DROP VIEW lamp_view;
DROP SEQUENCE shift_seq;
DROP TABLE plate;

-- findings
-- 2:1: RC0609 adapted: Said in other words: d_mag: its columns get the type and the checks themselves
-- 5:3: RC0502 adapted: Storage clauses left out: name: CHARACTER SET UTF8
-- 10:3: RC0502 adapted: Storage clauses left out: remark: CHARACTER SET UTF8
-- 13:3: RC0116 check: NaN and infinity are refused: ratio: float
-- 3:1: RC0409 check: Accents do not count on the target: name
-- 16:73: RC0116 check: NaN and infinity are refused: watts: double
-- 16:131: RC0502 adapted: Storage clauses left out: USING INDEX lamp_ix
-- 18:1: RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- 20:1: RC0609 adapted: Said in other words: the whole definition of note
-- 23:1: RC0502 adapted: Storage clauses left out: POSITION 2
-- 31:1: RC0627 check: Said in other words, with a difference: the table is there for all sessions on the source; on the target each session has to create its own
-- 32:1: RC0502 adapted: Storage clauses left out: OR REPLACE
-- 35:1: RC0609 adapted: Said in other words: the whole definition of band
