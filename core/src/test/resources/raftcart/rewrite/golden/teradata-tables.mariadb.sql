-- to: postgresql mariadb
CREATE TABLE obs.dome (
    dome_id int AUTO_INCREMENT NOT NULL,
    name varchar(40) NOT NULL,
    opened datetime(0) DEFAULT CURRENT_TIMESTAMP NOT NULL,
    height decimal(5,2) DEFAULT 0.00 CHECK (height >= 0),
    small tinyint(4),
    ratio double,
    mask binary(4),
    remark longtext,
    night date DEFAULT (CURRENT_DATE),
    code char(3) COLLATE utf8mb4_bin,
    CONSTRAINT dome_upi UNIQUE (dome_id)
);
ALTER TABLE obs.dome AUTO_INCREMENT = 10;
CREATE TABLE obs.lamp (
    dome_id int NOT NULL,
    lamp_no smallint NOT NULL,
    watts double,
    bought date,
    CONSTRAINT lamp_pk PRIMARY KEY (dome_id, lamp_no),
    CONSTRAINT lamp_dome_fk FOREIGN KEY (dome_id) REFERENCES obs.dome (dome_id)
);
CREATE INDEX lamp_bought_ix ON obs.lamp (bought);
ALTER TABLE obs.lamp ADD COLUMN note varchar(200) DEFAULT 'none';
ALTER TABLE obs.lamp ADD COLUMN extra int;
ALTER TABLE obs.lamp DROP COLUMN extra;
ALTER TABLE obs.lamp RENAME COLUMN note TO remark;
ALTER TABLE obs.lamp ADD CONSTRAINT lamp_ck CHECK (watts > 0);
ALTER TABLE obs.lamp DROP CONSTRAINT lamp_ck;
ALTER TABLE obs.lamp RENAME TO lamps;
CREATE TABLE obs.dome_copy AS
SELECT * FROM (SELECT dome_id, name FROM obs.dome) source_rows_ WHERE 1 = 0;
CREATE TEMPORARY TABLE tally (
    n int,
    label varchar(10)
);
CREATE OR REPLACE VIEW obs.lamp_view (dome, lamps) AS
SELECT dome_id, COUNT(*) FROM obs.lamps GROUP BY dome_id;
ALTER TABLE obs.dome COMMENT = 'Domes';
ALTER TABLE obs.dome MODIFY COLUMN name varchar(40) NOT NULL COMMENT 'its name';
DROP VIEW obs.lamp_view;
DELETE FROM obs.lamps;
DROP TABLE obs.dome_copy;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: MULTISET
-- 2:1: RC0502 adapted: Storage clauses left out: NO FALLBACK
-- 2:1: RC0502 adapted: Storage clauses left out: NO BEFORE JOURNAL
-- 2:1: RC0502 adapted: Storage clauses left out: CHECKSUM = DEFAULT
-- 3:3: RC0627 check: Said in other words, with a difference: the target numbers dome_id from 1 and by 1, the source otherwise
-- 4:3: RC0502 adapted: Storage clauses left out: name: CHARACTER SET UNICODE
-- 4:3: RC0502 adapted: Storage clauses left out: name: NOT CASESPECIFIC
-- 8:3: RC0116 check: NaN and infinity are refused: ratio: double
-- 11:3: RC0502 adapted: Storage clauses left out: night: FORMAT 'YYYY-MM-DD'
-- 12:3: RC0502 adapted: Storage clauses left out: code: COMPRESS ('AAA' , 'BBB')
-- 2:1: RC0409 check: Accents do not count on the target: name, remark
-- 14:1: RC0627 check: Said in other words, with a difference: left out: SET: no row twice
-- 14:1: RC0502 adapted: Storage clauses left out: PRIMARY INDEX
-- 14:81: RC0116 check: NaN and infinity are refused: watts: double
-- 14:158: RC0627 check: Said in other words, with a difference: left out: WITH NO CHECK OPTION
-- 23:1: RC0409 check: Accents do not count on the target: label
-- 26:1: RC0609 adapted: Said in other words: the whole definition of name
-- 27:1: RC0604 adapted: Client command left out: COLLECT STATISTICS COLUMN ( dome_id ) ON obs . lamps
