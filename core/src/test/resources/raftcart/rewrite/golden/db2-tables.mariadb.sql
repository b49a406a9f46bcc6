-- to: postgresql mariadb
CREATE TABLE dome (
    dome_id int AUTO_INCREMENT NOT NULL,
    name varchar(40) NOT NULL,
    opened datetime(6) DEFAULT LOCALTIMESTAMP(6) NOT NULL,
    height decimal(5,2) DEFAULT 0,
    area decimal(10,4) GENERATED ALWAYS AS (height * height),
    mask binary(4),
    remark longtext,
    changed datetime(6) DEFAULT LOCALTIMESTAMP(6) NOT NULL ON UPDATE LOCALTIMESTAMP(6),
    CONSTRAINT dome_pk PRIMARY KEY (dome_id),
    CONSTRAINT dome_name_uk UNIQUE (name),
    CONSTRAINT dome_height_ck CHECK (height >= 0)
) COLLATE utf8mb4_bin;
ALTER TABLE dome AUTO_INCREMENT = 10;
CREATE TABLE lamp (
    dome_id int NOT NULL,
    lamp_no smallint NOT NULL,
    watts double,
    rate decimal(65,30),
    bought date DEFAULT (CURRENT_DATE),
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES dome (dome_id) ON DELETE CASCADE
);
CREATE UNIQUE INDEX lamp_bought_ux ON lamp (bought, watts DESC);
ALTER TABLE lamp ADD COLUMN note varchar(200) COLLATE utf8mb4_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp MODIFY COLUMN note varchar(400) COLLATE utf8mb4_bin DEFAULT 'none' NOT NULL;
ALTER TABLE lamp MODIFY COLUMN note varchar(400) COLLATE utf8mb4_bin DEFAULT 'none';
ALTER TABLE lamp ALTER COLUMN note SET DEFAULT 'x';
ALTER TABLE lamp ALTER COLUMN note SET DEFAULT NULL;
ALTER TABLE lamp RENAME COLUMN note TO remark;
ALTER TABLE lamp DROP COLUMN remark;
ALTER TABLE lamp ADD CONSTRAINT lamp_watts_ck CHECK (watts > 0);
ALTER TABLE lamp DROP CONSTRAINT lamp_watts_ck;
ALTER TABLE lamp DROP FOREIGN KEY lamp_dome_fk;
ALTER TABLE lamp DROP PRIMARY KEY;
ALTER TABLE lamp ADD PRIMARY KEY (lamp_no, dome_id);
ALTER TABLE dome AUTO_INCREMENT = 100;
ALTER TABLE lamp RENAME TO lamps;
ALTER TABLE lamps RENAME INDEX lamp_bought_ux TO lamps_bought_ux;
CREATE TABLE dome_copy AS
SELECT * FROM (SELECT dome_id, name FROM dome) source_rows_ WHERE 1 = 0;
CREATE TABLE dome_like (
    dome_id int NOT NULL,
    name varchar(40) NOT NULL,
    opened datetime(6) NOT NULL,
    height decimal(5,2),
    area decimal(10,4),
    mask binary(4),
    remark longtext,
    changed datetime(6) NOT NULL
) COLLATE utf8mb4_bin;
CREATE SEQUENCE shift_seq START WITH 1 INCREMENT BY 2 CACHE 20;
CREATE VIEW lamp_view (dome, lamps) AS SELECT dome_id, COUNT(*) FROM lamps GROUP BY dome_id;
ALTER TABLE lamps MODIFY COLUMN watts double COMMENT 'power';
ALTER TABLE lamps MODIFY COLUMN dome_id int NOT NULL COMMENT 'where it hangs';
CREATE VIEW bulbs AS
SELECT * FROM lamps;
DROP VIEW bulbs;
DROP VIEW lamp_view;
DROP TABLE dome_copy;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: IN userspace1 COMPRESS YES
-- 3:3: RC0627 check: Said in other words, with a difference: the target numbers dome_id from 1 and by 1, the source otherwise
-- 10:3: RC0627 check: Said in other words, with a difference: the source sets changed at every UPDATE and lets nobody else do so, here it changes where other values do
-- 15:3: RC0116 check: NaN and infinity are refused: watts: double
-- 16:3: RC0110 check: Number without precision is bounded: rate: number without precision as decimal(65,30)
-- 21:1: RC0502 adapted: Storage clauses left out: ALLOW REVERSE SCANS
-- 21:1: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 21:1: RC0502 adapted: Storage clauses left out: INCLUDE
-- 23:1: RC0609 adapted: Said in other words: the whole definition of note
-- 24:1: RC0609 adapted: Said in other words: the whole definition of note
-- 37:1: RC0609 adapted: Said in other words: the columns of the table that is copied
-- 40:1: RC0609 adapted: Said in other words: the whole definition of watts
-- 15:3: RC0116 check: NaN and infinity are refused: watts: double
-- 40:1: RC0609 adapted: Said in other words: the whole definition of dome_id
-- 41:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 42:1: RC0627 check: Said in other words, with a difference: a synonym, which is taken for the view that stands for it
