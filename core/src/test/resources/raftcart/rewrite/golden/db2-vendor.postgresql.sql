-- to: postgresql mariadb
-- This CLP file was created using a structure tool
-- RC0602 by hand: No counterpart on the target: a database; make it and connect to it
-- CREATE DATABASE OBS2 ON '/db2' USING CODESET UTF-8 TERRITORY US
CREATE SCHEMA KESTREL;
SET search_path TO KESTREL;
SET search_path TO KESTREL;
CREATE DOMAIN MAGNITUDE AS numeric(9,4);
-- RC0602 by hand: No counterpart on the target: a type of its own cannot be said in postgresql
-- CREATE TYPE ADDR AS (street VARCHAR(20)) MODE DB2SQL
CREATE TABLE KESTREL.STAR (
    STARNO character(6) NOT NULL,
    NAME character varying(12) DEFAULT 'x' NOT NULL,
    MID character(1) DEFAULT '' NOT NULL,
    SEEN date DEFAULT CURRENT_DATE,
    AT time(0) without time zone,
    EDLEVEL smallint NOT NULL,
    SALARY numeric(9,2) DEFAULT 0,
    MAG numeric(9,4),
    DF numeric,
    TS timestamp(6) without time zone DEFAULT LOCALTIMESTAMP NOT NULL,
    BIT bytea CHECK (octet_length(bit) = 4),
    G character(5),
    VG character varying(10),
    DBC text,
    PIC bytea,
    TXT text,
    X xml,
    ID integer GENERATED ALWAYS AS IDENTITY (START WITH 10 INCREMENT BY 10 MINVALUE 10 MAXVALUE 2147483647) NOT NULL,
    "full" character varying(40) GENERATED ALWAYS AS (UPPER(NAME) || ' ' || MID) STORED
);
CREATE OR REPLACE FUNCTION KESTREL.STAR_TS_on_update() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    NEW.TS := LOCALTIMESTAMP;
    RETURN NEW;
END
$$;
CREATE TRIGGER STAR_TS_on_update BEFORE UPDATE ON KESTREL.STAR FOR EACH ROW
WHEN (ROW(NEW.STARNO, NEW.NAME, NEW.MID, NEW.SEEN, NEW.AT, NEW.EDLEVEL, NEW.SALARY, NEW.MAG, NEW.DF, NEW.TS, NEW.BIT, NEW.G, NEW.VG, NEW.DBC, NEW.PIC, NEW.TXT, NEW.X, NEW.ID)::text IS DISTINCT FROM ROW(OLD.STARNO, OLD.NAME, OLD.MID, OLD.SEEN, OLD.AT, OLD.EDLEVEL, OLD.SALARY, OLD.MAG, OLD.DF, OLD.TS, OLD.BIT, OLD.G, OLD.VG, OLD.DBC, OLD.PIC, OLD.TXT, OLD.X, OLD.ID)::text AND NEW.TS IS NOT DISTINCT FROM OLD.TS)
EXECUTE FUNCTION KESTREL.STAR_TS_on_update(); 
CREATE TABLE dim (
    a integer,
    b integer
);
CREATE TABLE m (
    d date,
    v integer
);
CREATE TABLE vol (
    id integer
);
CREATE TABLE nl (
    id integer
);
COMMENT ON TABLE KESTREL.STAR IS 'Stars';
COMMENT ON COLUMN KESTREL.STAR.SEEN IS 'When';
-- DDL Statements for Indexes on Table "KESTREL"."STAR"
CREATE UNIQUE INDEX IX ON KESTREL.STAR (STARNO);
CREATE UNIQUE INDEX IX2 ON STAR (NAME) INCLUDE (MID);
-- DDL Statements for Primary Key on Table "KESTREL"."STAR"
ALTER TABLE KESTREL.STAR ADD CONSTRAINT PK PRIMARY KEY (STARNO);
ALTER TABLE KESTREL.STAR ADD CONSTRAINT RED FOREIGN KEY (WORKDEPT) REFERENCES KESTREL.DEPARTMENT (DEPTNO) ON DELETE SET NULL;
ALTER TABLE KESTREL.STAR ADD CONSTRAINT NUMBER CHECK (PHONENO >= '0000' AND PHONENO <= '9999');
ALTER TABLE STAR ALTER COLUMN NAME TYPE character varying(40);
ALTER TABLE STAR ALTER COLUMN MID DROP NOT NULL;
ALTER TABLE STAR ADD COLUMN Z integer;
-- RC0602 by hand: No counterpart on the target: a table that is emptied
-- ALTER TABLE STAR ACTIVATE NOT LOGGED INITIALLY WITH EMPTY TABLE
ALTER SEQUENCE S RESTART WITH 5;
CREATE SEQUENCE KESTREL.S START WITH 1 INCREMENT BY 1 MINVALUE 1;
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
CREATE MATERIALIZED VIEW MQT AS
SELECT NAME, COUNT(*) AS C FROM STAR GROUP BY NAME;
-- RC0602 by hand: No counterpart on the target: REFRESH
-- REFRESH TABLE MQT
CREATE TABLE COPYT (LIKE STAR);
CREATE TABLE CT AS
SELECT * FROM STAR
WITH NO DATA;
CREATE TABLE CT2 AS
SELECT * FROM STAR
WITH NO DATA;
CREATE TEMPORARY TABLE T1 (
    A integer
);
CREATE TEMPORARY TABLE T2 (
    A integer
) ON COMMIT DELETE ROWS;
CREATE OR REPLACE FUNCTION NEW_HIRED() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    UPDATE STATS SET N = N + 1;
    RETURN NULL;
END;
$$;
CREATE TRIGGER NEW_HIRED AFTER INSERT ON STAR
FOR EACH ROW
EXECUTE FUNCTION NEW_HIRED();
CREATE OR REPLACE FUNCTION T3() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    new.A := 1;
    new.B := 2;
    RETURN new;
END;
$$;
CREATE TRIGGER T3 BEFORE INSERT ON STAR
FOR EACH ROW
EXECUTE FUNCTION T3();
CREATE FUNCTION TAN2(X double precision) RETURNS double precision
LANGUAGE plpgsql
IMMUTABLE
SECURITY DEFINER
AS $$
BEGIN
    RETURN SIN(X) / COS(X);
END;
$$;
-- RC0602 by hand: No counterpart on the target: variable
-- CREATE VARIABLE V1 INTEGER DEFAULT 5
CREATE ROLE R1;
GRANT R1 TO BOB;
GRANT SELECT, INSERT ON KESTREL.STAR TO ANN WITH GRANT OPTION;
GRANT CREATE ON SCHEMA KESTREL TO PUBLIC;
-- RC0602 by hand: No counterpart on the target: GRANT on other than tables
-- GRANT CONNECT ON DATABASE TO PUBLIC
-- RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- GRANT USE OF TABLESPACE TS32 TO PUBLIC
GRANT USAGE ON SEQUENCE S TO PUBLIC;
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
-- 4:1: RC0602 by hand: No counterpart on the target: a database; make it and connect to it
-- 5:1: RC0604 adapted: Client command left out: CREATE BUFFERPOOL, storage of the source's server
-- 6:1: RC0604 adapted: Client command left out: CREATE TABLESPACE, storage of the source's server
-- 7:1: RC0604 adapted: Client command left out: CREATE STOGROUP, storage of the source's server
-- 10:1: RC0627 check: Said in other words, with a difference: left out, though it changes what statements mean: SET PATH = "SYSIBM" , "SYSFUN" , "SYSPROC" , "SYSIBMADM" , "KESTREL"
-- 13:1: RC0602 by hand: No counterpart on the target: a type of its own cannot be said in postgresql
-- 14:1: RC0502 adapted: Storage clauses left out: COMPRESS YES ADAPTIVE VALUE COMPRESSION DISTRIBUTE BY HASH ("STARNO") IN "USERSPACE1" INDEX IN "IX" LONG IN "TS32"
-- 14:1: RC0502 adapted: Storage clauses left out: ORGANIZE BY ROW
-- 14:1: RC0617 check: Trailing blanks in comparisons: those of stored texts count on the target, in this table and in all others; nothing to do where texts have none
-- 24:5: RC0627 check: Said in other words, with a difference: the source sets TS at every UPDATE and lets nobody else do so, here it changes where other values do
-- 24:5: RC0119 check: Numbers may lose digits: TS: timestamp(6) without time zone: fractions of a second lose 6 digit(s)
-- 24:5: RC0609 adapted: Said in other words: ON UPDATE of TS as a trigger
-- 25:5: RC0109 adapted: Fixed number of bytes kept by a check: BIT: bytea with a check for 4 bytes
-- 27:5: RC0502 adapted: Storage clauses left out: PIC: LOGGED
-- 27:5: RC0502 adapted: Storage clauses left out: PIC: NOT COMPACT
-- 28:5: RC0502 adapted: Storage clauses left out: TXT: INLINE LENGTH 200
-- 28:5: RC0502 adapted: Storage clauses left out: TXT: LOGGED
-- 28:5: RC0502 adapted: Storage clauses left out: TXT: NOT COMPACT
-- 14:1: RC0609 adapted: Said in other words: no numbers ahead: each session would keep, and lose, 20 of them
-- 44:1: RC0502 adapted: Storage clauses left out: ORGANIZE BY DIMENSIONS (a , b)
-- 45:1: RC0627 check: Said in other words, with a difference: left out: PARTITION BY RANGE (d) (STARTING '2020-01-01' ENDING '2020-12-31' EVERY 1 MONTH)
-- 46:1: RC0502 adapted: Storage clauses left out: VOLATILE CARDINALITY
-- 47:1: RC0502 adapted: Storage clauses left out: NOT LOGGED INITIALLY
-- 50:1: RC0604 adapted: Client command left out: LABEL ON COLUMN KESTREL . STAR ( SEEN IS 'when' )
-- 52:1: RC0627 check: Said in other words, with a difference: left out, though it changes what statements mean: SET SYSIBM . NLS_STRING_UNITS = 'SYSTEM'
-- 53:1: RC0502 adapted: Storage clauses left out: CLUSTER PCTFREE 10 MINPCTUSED 10 COMPRESS NO INCLUDE NULL KEYS ALLOW REVERSE SCANS
-- 58:1: RC0502 adapted: Storage clauses left out: PAGE SPLIT SYMMETRIC COLLECT SAMPLED DETAILED STATISTICS
-- 78:22: RC0627 check: Said in other words, with a difference: a constraint that is switched off on the source is left out
-- 80:1: RC0502 adapted: Storage clauses left out: DATA CAPTURE CHANGES
-- 81:1: RC0502 adapted: Storage clauses left out: LOCKSIZE ROW APPEND OFF
-- 82:18: RC0602 by hand: No counterpart on the target: a table that is emptied
-- 84:1: RC0609 adapted: Said in other words: no numbers ahead: each session would keep, and lose, 20 of them
-- 85:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 86:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 87:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 88:8: RC0602 by hand: No counterpart on the target: objects of another database
-- 90:108: RC0617 check: Trailing blanks in comparisons: E.STARNO
-- 91:1: RC0502 adapted: Storage clauses left out: DATA INITIALLY DEFERRED
-- 91:1: RC0502 adapted: Storage clauses left out: REFRESH IMMEDIATE ENABLE QUERY OPTIMIZATION MAINTAINED BY SYSTEM
-- 92:1: RC0604 adapted: Client command left out: SET INTEGRITY FOR MQT IMMEDIATE CHECKED
-- 93:1: RC0602 by hand: No counterpart on the target: REFRESH
-- 94:1: RC0627 check: Said in other words, with a difference: left out: INCLUDING COLUMN DEFAULTS
-- 97:1: RC0502 adapted: Storage clauses left out: NOT LOGGED
-- 97:1: RC0502 adapted: Storage clauses left out: WITH REPLACE
-- 98:1: RC0627 check: Said in other words, with a difference: the table is there for all sessions on the source; on the target each session has to create its own
-- 99:1: RC0609 adapted: Said in other words: code in the target's own language
-- 103:1: RC0609 adapted: Said in other words: code in the target's own language
-- 108:1: RC0609 adapted: Said in other words: code in the target's own language
-- 109:1: RC0602 by hand: No counterpart on the target: variable
-- 114:1: RC0602 by hand: No counterpart on the target: GRANT on other than tables
-- 115:1: RC0602 by hand: No counterpart on the target: GRANT of rights on the system
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
