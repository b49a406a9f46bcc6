-- to: postgresql mariadb
CREATE TABLE DOME (
    DOME_ID int AUTO_INCREMENT NOT NULL PRIMARY KEY,
    NAME varchar(40) COLLATE utf8mb4_bin NOT NULL,
    LABEL varchar(20),
    OPENED datetime(3) DEFAULT (UTC_TIMESTAMP(3)) NOT NULL,
    HEIGHT decimal(5,2) DEFAULT 0,
    AREA decimal(10,4) GENERATED ALWAYS AS (HEIGHT * HEIGHT),
    MASK bit(4) DEFAULT B'0101',
    NOTES longtext COLLATE utf8mb4_bin,
    PHOTO longblob,
    ACTIVE tinyint(1) DEFAULT TRUE NOT NULL,
    CONSTRAINT DOME_NAME_UK UNIQUE (NAME),
    CHECK (HEIGHT >= 0)
);
ALTER TABLE DOME AUTO_INCREMENT = 10;
CREATE TABLE LAMP (
    DOME_ID int NOT NULL,
    LAMP_NO smallint NOT NULL,
    WATTS double,
    BOUGHT date DEFAULT (CURRENT_DATE),
    CONSTRAINT LAMP_PK PRIMARY KEY (DOME_ID, LAMP_NO),
    CONSTRAINT LAMP_DOME_FK FOREIGN KEY (DOME_ID) REFERENCES DOME (DOME_ID) ON DELETE CASCADE
);
CREATE UNIQUE INDEX LAMP_WATTS_UX ON LAMP (WATTS DESC);
ALTER TABLE LAMP ADD COLUMN NOTE varchar(200) COLLATE utf8mb4_bin DEFAULT 'none' NOT NULL;
ALTER TABLE LAMP MODIFY COLUMN NOTE varchar(400) COLLATE utf8mb4_bin DEFAULT 'none' NOT NULL;
ALTER TABLE LAMP MODIFY COLUMN NOTE varchar(400) COLLATE utf8mb4_bin DEFAULT 'none';
ALTER TABLE LAMP ALTER COLUMN NOTE SET DEFAULT NULL;
ALTER TABLE LAMP RENAME COLUMN NOTE TO REMARK;
ALTER TABLE LAMP DROP COLUMN REMARK;
ALTER TABLE LAMP ADD CONSTRAINT LAMP_CK CHECK (WATTS > 0);
ALTER TABLE LAMP DROP CONSTRAINT LAMP_CK;
ALTER TABLE DOME AUTO_INCREMENT = 100;
ALTER TABLE LAMP RENAME TO LAMPS;
CREATE SEQUENCE SHIFT_SEQ START WITH 1 INCREMENT BY 2;
ALTER SEQUENCE SHIFT_SEQ RESTART WITH 50;
CREATE TABLE DOME_COPY AS
SELECT * FROM (SELECT DOME_ID, NAME FROM DOME) source_rows_ WHERE 1 = 0;
CREATE TEMPORARY TABLE TALLY (
    N int,
    LABEL varchar(10)
) COLLATE utf8mb4_bin;
CREATE VIEW LAMP_VIEW (DOME, LAMPS) AS SELECT DOME_ID, COUNT(*) FROM LAMPS GROUP BY DOME_ID;
CREATE TABLE PLATE (
    PLATE_ID bigint AUTO_INCREMENT PRIMARY KEY,
    TAGS json,
    DATA varbinary(16),
    SPAN longtext,
    TOKEN uuid
);
ALTER TABLE PLATE COMMENT = 'Plates';
DROP VIEW IF EXISTS LAMP_VIEW;
TRUNCATE TABLE LAMPS;
DROP TABLE IF EXISTS DOME_COPY;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: CACHED
-- 3:3: RC0627 check: Said in other words, with a difference: the target numbers DOME_ID from 1 and by 1, the source otherwise
-- 6:3: RC0114 check: Instant becomes date and time in UTC: OPENED: datetime(3) in UTC
-- 2:1: RC0409 check: Accents do not count on the target: LABEL
-- 2:1: RC0609 adapted: Said in other words: the schema PUBLIC is left out
-- 16:1: RC0502 adapted: Storage clauses left out: MEMORY
-- 16:80: RC0116 check: NaN and infinity are refused: WATTS: double
-- 18:1: RC0627 check: Said in other words, with a difference: NOTE stands elsewhere among the columns, which SELECT * shows
-- 19:1: RC0609 adapted: Said in other words: the whole definition of NOTE
-- 20:1: RC0609 adapted: Said in other words: the whole definition of NOTE
-- 33:1: RC0609 adapted: Said in other words: MAGNITUDE: its columns get the type and the checks themselves
-- 34:21: RC0627 check: Said in other words, with a difference: the numbers of PLATE_ID begin with 1, on the source with 0
-- 34:47: RC0115 check: Array becomes a JSON array: TAGS: array as json
-- 34:93: RC0111 check: Type without counterpart crosses as text or bytes: SPAN: interval day to second as longtext
-- 37:1: RC0502 adapted: Storage clauses left out: AND COMMIT
