-- to: postgresql mariadb
-- This CLP file was created using a structure tool
CREATE DATABASE OBS2;
CREATE DATABASE KESTREL;
USE KESTREL;
USE KESTREL;
CREATE TABLE KESTREL.STAR (
    STARNO char(6) NOT NULL,
    NAME varchar(12) DEFAULT 'x' NOT NULL,
    MID char(1) DEFAULT '' NOT NULL,
    SEEN date DEFAULT (CURRENT_DATE),
    AT time(0),
    EDLEVEL smallint NOT NULL,
    SALARY decimal(9,2) DEFAULT 0,
    MAG decimal(9,4),
    DF decimal(65,30),
    TS datetime(6) DEFAULT LOCALTIMESTAMP(6) NOT NULL ON UPDATE LOCALTIMESTAMP(6),
    BIT binary(4),
    G char(5),
    VG varchar(10),
    DBC longtext,
    PIC longblob,
    TXT longtext,
    X longtext,
    ID int AUTO_INCREMENT NOT NULL,
    `FULL` varchar(40) GENERATED ALWAYS AS (CONCAT(UPPER(NAME), ' ', MID)),
    UNIQUE (ID)
) COLLATE utf8mb4_bin;
ALTER TABLE KESTREL.STAR AUTO_INCREMENT = 10; 
CREATE TABLE dim (
    a int,
    b int
);
CREATE TABLE m (
    d date,
    v int
);
CREATE TABLE vol (
    id int
);
CREATE TABLE nl (
    id int
);
ALTER TABLE KESTREL.STAR COMMENT = 'Stars';
ALTER TABLE KESTREL.STAR MODIFY COLUMN SEEN date DEFAULT (CURRENT_DATE) COMMENT 'When';
-- DDL Statements for Indexes on Table "KESTREL"."STAR"
CREATE UNIQUE INDEX IX ON KESTREL.STAR (STARNO);
CREATE UNIQUE INDEX IX2 ON STAR (NAME);
-- DDL Statements for Primary Key on Table "KESTREL"."STAR"
ALTER TABLE KESTREL.STAR ADD CONSTRAINT PK PRIMARY KEY (STARNO);
ALTER TABLE KESTREL.STAR ADD CONSTRAINT RED FOREIGN KEY (WORKDEPT) REFERENCES KESTREL.DEPARTMENT (DEPTNO) ON DELETE SET NULL;
ALTER TABLE KESTREL.STAR ADD CONSTRAINT NUMBER CHECK (PHONENO >= '0000' AND PHONENO <= '9999');
ALTER TABLE STAR MODIFY COLUMN NAME varchar(40) COLLATE utf8mb4_bin DEFAULT 'x' NOT NULL;
ALTER TABLE STAR MODIFY COLUMN MID char(1) COLLATE utf8mb4_bin DEFAULT '';
ALTER TABLE STAR ADD COLUMN Z int;
-- RC0602 by hand: No counterpart on the target: a table that is emptied
-- ALTER TABLE STAR ACTIVATE NOT LOGGED INITIALLY WITH EMPTY TABLE
ALTER SEQUENCE S RESTART WITH 5;
CREATE SEQUENCE KESTREL.S START WITH 1 INCREMENT BY 1 MINVALUE 1 CACHE 20;
CREATE VIEW KESTREL.ST AS
SELECT * FROM KESTREL.STAR;
CREATE VIEW ST2 AS
SELECT * FROM STAR;
CREATE VIEW ST3 AS
SELECT * FROM STAR;
-- RC0602 by hand: No counterpart on the target: objects of another database
-- CREATE NICKNAME N1 FOR SRV.S.T
CREATE VIEW V AS
SELECT STARNO, NAME FROM STAR WHERE MAG BETWEEN 1 AND 2
WITH CHECK OPTION;
CREATE VIEW VPROJRE1 (P, R) AS
SELECT P.PROJNO, E.NAME
FROM PROJ P
LEFT JOIN STAR E ON P.RESPEMP = E.STARNO
LIMIT 5;
-- RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
-- CREATE TABLE MQT AS (SELECT NAME, COUNT(*) AS C FROM STAR GROUP BY NAME) DATA INITIALLY DEFERRED REFRESH IMMEDIATE ENABLE QUERY OPTIMIZATION MAINTAINED BY SYSTEM
-- RC0602 by hand: No counterpart on the target: REFRESH
-- REFRESH TABLE MQT
CREATE TABLE COPYT (
    STARNO char(6) NOT NULL,
    NAME varchar(40) DEFAULT 'x' NOT NULL,
    MID char(1) DEFAULT '',
    SEEN date DEFAULT (CURRENT_DATE),
    AT time(0),
    EDLEVEL smallint NOT NULL,
    SALARY decimal(9,2) DEFAULT 0,
    MAG decimal(9,4),
    DF decimal(65,30),
    TS datetime(6) DEFAULT LOCALTIMESTAMP(6) NOT NULL,
    BIT binary(4),
    G char(5),
    VG varchar(10),
    DBC longtext,
    PIC longblob,
    TXT longtext,
    X longtext,
    ID int NOT NULL,
    `FULL` varchar(40),
    Z int
) COLLATE utf8mb4_bin;
CREATE TABLE CT AS
SELECT * FROM (SELECT * FROM STAR) source_rows_ WHERE 1 = 0;
CREATE TABLE CT2 AS
SELECT * FROM (SELECT * FROM STAR) source_rows_ WHERE 1 = 0;
CREATE TEMPORARY TABLE T1 (
    A int
);
CREATE TEMPORARY TABLE T2 (
    A int
);
DELIMITER //
CREATE TRIGGER NEW_HIRED AFTER INSERT ON STAR FOR EACH ROW
UPDATE STATS SET N = N + 1//
DELIMITER ;
DELIMITER //
CREATE TRIGGER T3 BEFORE INSERT ON STAR FOR EACH ROW
BEGIN
    SET new.A = 1;
    SET new.B = 2;
END//
DELIMITER ;
DELIMITER //
CREATE FUNCTION TAN2(X double) RETURNS double
DETERMINISTIC MODIFIES SQL DATA SQL SECURITY DEFINER
RETURN SIN(X) / COS(X)//
DELIMITER ;
-- RC0602 by hand: No counterpart on the target: variable
-- CREATE VARIABLE V1 INTEGER DEFAULT 5
CREATE ROLE R1;
GRANT R1 TO BOB;
GRANT SELECT, INSERT ON KESTREL.STAR TO ANN WITH GRANT OPTION;
-- RC0602 by hand: No counterpart on the target: the right CREATEIN on schema
-- GRANT CREATEIN ON SCHEMA KESTREL TO PUBLIC
-- RC0602 by hand: No counterpart on the target: GRANT on other than tables
-- GRANT CONNECT ON DATABASE TO PUBLIC
-- RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- GRANT USE OF TABLESPACE TS32 TO PUBLIC
GRANT SELECT, INSERT ON S TO PUBLIC;
-- RC0602 by hand: No counterpart on the target: LOAD
-- LOAD FROM x.del OF DEL INSERT INTO STAR
-- RC0602 by hand: No counterpart on the target: IMPORT
-- IMPORT FROM x.ixf OF IXF INSERT INTO STAR
-- RC0602 by hand: No counterpart on the target: EXPORT
-- EXPORT TO x.del OF DEL SELECT * FROM STAR
INSERT INTO STAR
VALUES 
    ('000010', 'CHRISTINE', 'I', DATE '1965-01-01', '10:00:00', 18, 52750.00, DEFAULT),
    ('000020', 'M', 'L', DATE '1973-10-10', '15:15:00', 18, 41250, NULL);
INSERT INTO STAR (TS) VALUES (TIMESTAMP '2002-01-01 10:30:00.123456');
-- RC0602 by hand: No counterpart on the target: XMLPARSE
-- INSERT INTO STAR (X) VALUES (XMLPARSE(DOCUMENT '<a/>' PRESERVE WHITESPACE))

-- findings
-- 3:1: RC0604 adapted: Client command left out: CONNECT TO OBS
-- 4:1: RC0502 adapted: Storage clauses left out: ON '/db2' USING CODESET UTF - 8 TERRITORY US
-- 5:1: RC0604 adapted: Client command left out: CREATE BUFFERPOOL, storage of the source's server
-- 6:1: RC0604 adapted: Client command left out: CREATE TABLESPACE, storage of the source's server
-- 7:1: RC0604 adapted: Client command left out: CREATE STOGROUP, storage of the source's server
-- 10:1: RC0627 check: Said in other words, with a difference: left out, though it changes what statements mean: SET PATH = "SYSIBM" , "SYSFUN" , "SYSPROC" , "SYSIBMADM" , "KESTREL"
-- 12:1: RC0609 adapted: Said in other words: MAGNITUDE: its columns get the type and the checks themselves
-- 13:1: RC0609 adapted: Said in other words: the type ADDR is left out: variables for its rows say their fields
-- 14:1: RC0502 adapted: Storage clauses left out: COMPRESS YES ADAPTIVE VALUE COMPRESSION DISTRIBUTE BY HASH ("STARNO") IN "USERSPACE1" INDEX IN "IX" LONG IN "TS32"
-- 14:1: RC0502 adapted: Storage clauses left out: ORGANIZE BY ROW
-- 23:5: RC0110 check: Number without precision is bounded: DF: number without precision as decimal(65,30)
-- 24:5: RC0627 check: Said in other words, with a difference: the source sets TS at every UPDATE and lets nobody else do so, here it changes where other values do
-- 24:5: RC0119 check: Numbers may lose digits: TS: datetime(6): fractions of a second lose 6 digit(s)
-- 27:5: RC0502 adapted: Storage clauses left out: PIC: LOGGED
-- 27:5: RC0502 adapted: Storage clauses left out: PIC: NOT COMPACT
-- 28:5: RC0502 adapted: Storage clauses left out: TXT: INLINE LENGTH 200
-- 28:5: RC0502 adapted: Storage clauses left out: TXT: LOGGED
-- 28:5: RC0502 adapted: Storage clauses left out: TXT: NOT COMPACT
-- 29:5: RC0111 check: Type without counterpart crosses as text or bytes: X: xml as longtext
-- 30:5: RC0627 check: Said in other words, with a difference: the target numbers ID from 1 and by 1, the source otherwise
-- 1:1: RC0609 adapted: Said in other words: a key for ID, which is numbered, of KESTREL.STAR
-- 44:1: RC0502 adapted: Storage clauses left out: ORGANIZE BY DIMENSIONS (a , b)
-- 45:1: RC0627 check: Said in other words, with a difference: left out: PARTITION BY RANGE (d) (STARTING '2020-01-01' ENDING '2020-12-31' EVERY 1 MONTH)
-- 46:1: RC0502 adapted: Storage clauses left out: VOLATILE CARDINALITY
-- 47:1: RC0502 adapted: Storage clauses left out: NOT LOGGED INITIALLY
-- 49:1: RC0609 adapted: Said in other words: the whole definition of SEEN
-- 50:1: RC0604 adapted: Client command left out: LABEL ON COLUMN KESTREL . STAR ( SEEN IS 'when' )
-- 52:1: RC0627 check: Said in other words, with a difference: left out, though it changes what statements mean: SET SYSIBM . NLS_STRING_UNITS = 'SYSTEM'
-- 53:1: RC0502 adapted: Storage clauses left out: CLUSTER PCTFREE 10 MINPCTUSED 10 COMPRESS NO INCLUDE NULL KEYS ALLOW REVERSE SCANS
-- 58:1: RC0502 adapted: Storage clauses left out: PAGE SPLIT SYMMETRIC COLLECT SAMPLED DETAILED STATISTICS
-- 58:1: RC0502 adapted: Storage clauses left out: INCLUDE
-- 78:22: RC0627 check: Said in other words, with a difference: a constraint that is switched off on the source is left out
-- 79:1: RC0609 adapted: Said in other words: the whole definition of NAME
-- 79:1: RC0609 adapted: Said in other words: the whole definition of MID
-- 80:1: RC0502 adapted: Storage clauses left out: DATA CAPTURE CHANGES
-- 81:1: RC0502 adapted: Storage clauses left out: LOCKSIZE ROW APPEND OFF
-- 82:18: RC0602 by hand: No counterpart on the target: a table that is emptied
-- 85:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 86:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 87:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 88:8: RC0602 by hand: No counterpart on the target: objects of another database
-- 91:1: RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
-- 92:1: RC0604 adapted: Client command left out: SET INTEGRITY FOR MQT IMMEDIATE CHECKED
-- 93:1: RC0602 by hand: No counterpart on the target: REFRESH
-- 94:1: RC0609 adapted: Said in other words: the columns of the table that is copied
-- 23:5: RC0110 check: Number without precision is bounded: DF: number without precision as decimal(65,30)
-- 24:5: RC0119 check: Numbers may lose digits: TS: datetime(6): fractions of a second lose 6 digit(s)
-- 29:5: RC0111 check: Type without counterpart crosses as text or bytes: X: xml as longtext
-- 97:1: RC0502 adapted: Storage clauses left out: NOT LOGGED
-- 97:1: RC0502 adapted: Storage clauses left out: WITH REPLACE
-- 98:1: RC0627 check: Said in other words, with a difference: the rows stay after the end of the transaction; delete them
-- 98:1: RC0627 check: Said in other words, with a difference: the table is there for all sessions on the source; on the target each session has to create its own
-- 109:1: RC0602 by hand: No counterpart on the target: variable
-- 113:1: RC0602 by hand: No counterpart on the target: the right CREATEIN on schema
-- 114:1: RC0602 by hand: No counterpart on the target: GRANT on other than tables
-- 115:1: RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- 116:1: RC0609 adapted: Said in other words: the right to draw numbers from a sequence
-- 117:1: RC0604 adapted: Client command left out: RUNSTATS ON TABLE KESTREL . STAR WITH DISTRIBUTION AND DETAILED INDEXES ALL
-- 118:1: RC0604 adapted: Client command left out: REORG TABLE KESTREL . STAR
-- 119:1: RC0602 by hand: No counterpart on the target: LOAD
-- 120:1: RC0602 by hand: No counterpart on the target: IMPORT
-- 121:1: RC0602 by hand: No counterpart on the target: EXPORT
-- 124:38: RC0602 by hand: No counterpart on the target: XMLPARSE
-- 125:1: RC0604 adapted: Client command left out: UPDATE COMMAND
-- 126:1: RC0604 adapted: Client command left out: ECHO hello
-- 127:1: RC0604 adapted: Client command left out: CONNECT RESET
-- 128:1: RC0604 adapted: Client command left out: TERMINATE
