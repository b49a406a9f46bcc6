-- to: postgresql
CREATE SCHEMA KRO;
SET search_path TO KRO;
CREATE TABLE KRO.TELESCOPE (
    ID integer GENERATED ALWAYS AS IDENTITY (START WITH 1 INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647) NOT NULL,
    NAME character varying(100) DEFAULT '' NOT NULL,
    CODE bytea CHECK (octet_length(code) = 3),
    APERTURE numeric(6,3) DEFAULT 0 NOT NULL,
    FOCAL numeric,
    NOTES text,
    IMG bytea,
    WIDE character varying(20),
    DBC text,
    CREATED timestamp(6) without time zone DEFAULT LOCALTIMESTAMP NOT NULL,
    D date DEFAULT CURRENT_DATE,
    T time(0) without time zone DEFAULT LOCALTIME,
    DOC xml,
    FULLN character varying(210) GENERATED ALWAYS AS (NAME || ' x') STORED,
    TS timestamp(6) without time zone DEFAULT LOCALTIMESTAMP NOT NULL,
    CONSTRAINT PK PRIMARY KEY (ID),
    CONSTRAINT CK CHECK (APERTURE >= 0)
);
CREATE OR REPLACE FUNCTION KRO.TELESCOPE_TS_on_update() RETURNS trigger LANGUAGE plpgsql AS $$
BEGIN
    NEW.TS := LOCALTIMESTAMP;
    RETURN NEW;
END
$$;
CREATE TRIGGER TELESCOPE_TS_on_update BEFORE UPDATE ON KRO.TELESCOPE FOR EACH ROW
WHEN (ROW(NEW.ID, NEW.NAME, NEW.CODE, NEW.APERTURE, NEW.FOCAL, NEW.NOTES, NEW.IMG, NEW.WIDE, NEW.DBC, NEW.CREATED, NEW.D, NEW.T, NEW.DOC, NEW.TS)::text IS DISTINCT FROM ROW(OLD.ID, OLD.NAME, OLD.CODE, OLD.APERTURE, OLD.FOCAL, OLD.NOTES, OLD.IMG, OLD.WIDE, OLD.DBC, OLD.CREATED, OLD.D, OLD.T, OLD.DOC, OLD.TS)::text AND NEW.TS IS NOT DISTINCT FROM OLD.TS)
EXECUTE FUNCTION KRO.TELESCOPE_TS_on_update();
CREATE TABLE EV (
    ID bigint NOT NULL PRIMARY KEY,
    TID integer REFERENCES TELESCOPE ON DELETE RESTRICT,
    AMT double precision,
    F real,
    S smallint,
    B boolean
);
ALTER TABLE EV ADD COLUMN X integer;
ALTER TABLE EV ADD COLUMN Y character varying(10);
ALTER TABLE EV DROP COLUMN F;
ALTER TABLE EV ALTER COLUMN Y TYPE character varying(20);
ALTER TABLE EV ALTER COLUMN X SET NOT NULL;
ALTER TABLE EV ALTER COLUMN S SET DEFAULT 5;
ALTER TABLE EV ADD CONSTRAINT FK1 FOREIGN KEY (TID) REFERENCES TELESCOPE (ID) ON DELETE CASCADE;
CREATE UNIQUE INDEX IX1 ON EV (TID, AMT DESC) INCLUDE (X);
CREATE INDEX IX2 ON EV ((UPPER(Y)));
CREATE SEQUENCE SQ START WITH 5 INCREMENT BY 1;
CREATE VIEW V1 (A, B) AS
SELECT ID, NAME FROM TELESCOPE WHERE CREATED > LOCALTIMESTAMP - INTERVAL '7 day'
WITH LOCAL CHECK OPTION;
CREATE VIEW AL AS
SELECT * FROM KRO.TELESCOPE;
CREATE DOMAIN MONEY AS numeric(9,2);
CREATE MATERIALIZED VIEW MQT AS
SELECT TID, COUNT(*) AS C FROM EV GROUP BY TID;
CREATE TEMPORARY TABLE TMP (
    ID integer
);
CREATE TEMPORARY TABLE TMP2 (
    ID integer
) ON COMMIT DELETE ROWS;
COMMENT ON TABLE TELESCOPE IS 'Scopes';
COMMENT ON COLUMN TELESCOPE.ID IS 'key';
COMMENT ON COLUMN TELESCOPE.NAME IS 'name';
GRANT SELECT, INSERT ON TELESCOPE TO APP;
-- RC0602 by hand: No counterpart on the target: the right CONTROL
-- GRANT CONTROL ON TABLE TELESCOPE TO ROLE R
-- RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- GRANT USE OF TABLESPACE TS1 TO PUBLIC
INSERT INTO TELESCOPE (NAME, D, T, CREATED)
VALUES 
    ('A', DATE '2020-01-02', '03:04:05', TIMESTAMP '2020-01-02 03:04:05.000000'),
    ('B', DEFAULT, LOCALTIME, DEFAULT);
INSERT INTO TELESCOPE (NAME) VALUES ('C') RETURNING ID;
SELECT * FROM TELESCOPE LIMIT 5;
SELECT
    NAME,
    COALESCE(CODE, 'x'),
    DIGITS(S),
    TO_CHAR(D, 'YYYY-MM-DD'),
    (CAST(D AS date) - DATE '2000-01-01' + 730120) - (CAST(CURRENT_DATE AS date) - DATE '2000-01-01' + 730120),
    EXTRACT(YEAR FROM D),
    (EXTRACT(DOW FROM D) + 1),
    (CAST(D AS date) - DATE '2000-01-01' + 730120) + 1721425,
    TRUNC(EXTRACT(EPOCH FROM CAST(CREATED AS timestamp) - CAST(LOCALTIMESTAMP AS timestamp)) / 86400),
    STRPOS(NAME, 'a'),
    CASE WHEN STRPOS(SUBSTR(NAME, 2), 'a') = 0 THEN 0 ELSE STRPOS(SUBSTR(NAME, 2), 'a') + 2 - 1 END,
    SUBSTR(NAME, 2, 3),
    BTRIM(NAME),
    LOWER(NAME),
    UPPER(NAME),
    RTRIM(NAME),
    NAME || 'x',
    NAME || 'y',
    CAST(TRUNC(AMT) AS integer),
    CAST(TRUNC(CAST(AMT AS numeric), 2) AS numeric(9,2)),
    UPPER(ENCODE(CONVERT_TO(NAME, 'UTF8'), 'hex')),
    TRANSLATE(NAME, 'xy', 'XY'),
    TO_CHAR(CREATED, 'YYYY-MM-DD'),
    TO_CHAR(CREATED, 'YYYY'),
    COALESCE(S, 0),
    MOD(S, 3),
    RANDOM(),
    CHAR_LENGTH(NAME)
FROM TELESCOPE, EV;
SELECT
    CAST(CAST(CURRENT_DATE + INTERVAL '1 month' AS date) - INTERVAL '2 day' AS date),
    CREATED + INTERVAL '3 hour',
    CAST(CREATED AS date),
    CAST(CREATED AS time),
    (D + T),
    TRUNC(EXTRACT(EPOCH FROM T))
FROM TELESCOPE;
-- RC0602 by hand: No counterpart on the target: XMLAGG
-- SELECT LISTAGG(NAME, ', ') WITHIN GROUP (ORDER BY NAME), XMLAGG(XMLELEMENT(NAME "x", NAME)) FROM TELESCOPE
WITH RECURSIVE T (N) AS (
    SELECT 1
    UNION ALL
    SELECT N + 1 FROM T WHERE N < 5
)
SELECT *
FROM T;
VALUES (LOCALTIMESTAMP);
VALUES (1, 2), (3, 4);
VALUES (NEXTVAL('SQ'));
-- RC0602 by hand: No counterpart on the target: several numbers of one sequence in a row, which are the same on one engine only
-- SELECT NEXTVAL FOR SQ, PREVVAL FOR SQ FROM SYSIBM.SYSDUMMY1
SELECT LASTVAL();
MERGE INTO EV E
USING (SELECT * FROM TELESCOPE) T
ON E.TID = T.ID
WHEN MATCHED AND E.AMT > 5 THEN UPDATE SET AMT = 1, S = 2
WHEN MATCHED THEN DELETE
WHEN NOT MATCHED THEN INSERT VALUES (1, T.ID, 0, 0, FALSE);
UPDATE EV SET (AMT, S) = (SELECT 1, 2) WHERE ID = 1;
DELETE FROM EV WHERE ID IN (SELECT ID FROM EV LIMIT 10);
SELECT * FROM EV E, LATERAL (SELECT * FROM TELESCOPE T WHERE T.ID = E.TID) X;
SELECT *
FROM EV E
LEFT JOIN LATERAL (SELECT 1 AS A) L ON 1 = 1;
-- RC0602 by hand: No counterpart on the target: XMLTABLE
-- SELECT * FROM XMLTABLE('$d/a' PASSING DOC AS "d" COLUMNS X INTEGER PATH '@x') AS T
SELECT ROW_NUMBER() OVER (ORDER BY ID), RANK() OVER (PARTITION BY TID ORDER BY AMT DESC NULLS LAST), SUM(AMT) OVER (ORDER BY ID RANGE BETWEEN UNBOUNDED PRECEDING AND CURRENT ROW) FROM EV;
SELECT TID, COUNT(*) FROM EV GROUP BY GROUPING SETS (TID, ()) HAVING COUNT(*) > 1;
SELECT * FROM EV TABLESAMPLE BERNOULLI(10);
SELECT * FROM EV WHERE NAME = ? AND CREATED BETWEEN ? AND ?;
SELECT * FROM EV FOR UPDATE;
-- RC0602 by hand: No counterpart on the target: a text of the kind GX'...'
-- SELECT CASE WHEN S = 1 THEN 'a' ELSE 'b' END, CAST(NULL AS INTEGER), X'4142', GX'0041', UX'0041', TIMESTAMP '2020-01-01 00:00:00', DATE '2020-01-01' FROM EV
SELECT * FROM EV WHERE (ID, TID) IN (SELECT ID, TID FROM EV) AND S NOT BETWEEN 1 AND 2 AND Y LIKE 'a!%' ESCAPE '!';
SELECT * FROM EV WHERE ID = ANY (SELECT ID FROM EV)
EXCEPT ALL
(
    SELECT * FROM EV
    INTERSECT
    SELECT * FROM EV
);
-- RC0602 by hand: No counterpart on the target: LOCK TABLE
-- LOCK TABLE EV IN EXCLUSIVE MODE
ALTER TABLE EV RENAME TO EVENTS;
ALTER INDEX IX1 RENAME TO IX9;
DROP TABLE EV;
DROP VIEW AL;
TRUNCATE TABLE EV;
-- RC0602 by hand: No counterpart on the target: variable
-- CREATE VARIABLE GV INTEGER DEFAULT 5
CREATE OR REPLACE FUNCTION TR1() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    UPDATE TELESCOPE SET NAME = 'x' WHERE ID = new.TID;
    RETURN NULL;
END;
$$;
CREATE TRIGGER TR1 AFTER INSERT ON EV
FOR EACH ROW
EXECUTE FUNCTION TR1();
COMMIT;
SELECT * FROM SYSCAT.TABLES;
CREATE PROCEDURE P1(A integer)
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
#variable_conflict use_column
BEGIN
    UPDATE EV SET AMT = A;
END;
$$;
SELECT 1;
-- RC0603 by hand: Code is not translated: ALTER MODULE
-- ALTER MODULE sky ADD PROCEDURE clear() BEGIN DELETE FROM star; UPDATE star SET mag = 1; END
SELECT 6 AS behind_code;

-- findings
-- 2:1: RC0604 adapted: Client command left out: CONNECT TO KESTREL
-- 5:1: RC0627 check: Said in other words, with a difference: left out, though it changes what statements mean: SET PATH = SYSIBM , SYSFUN
-- 6:1: RC0502 adapted: Storage clauses left out: DATA CAPTURE NONE IN "TS1" INDEX IN "TS2" LONG IN TS3 COMPRESS YES ADAPTIVE
-- 6:1: RC0502 adapted: Storage clauses left out: ORGANIZE BY ROW NOT LOGGED INITIALLY
-- 6:1: RC0617 check: Trailing blanks in comparisons: those of stored texts count on the target, in this table and in all others; nothing to do where texts have none
-- 9:3: RC0109 adapted: Fixed number of bytes kept by a check: CODE: bytea with a check for 3 bytes
-- 12:3: RC0502 adapted: Storage clauses left out: NOTES: LOGGED
-- 12:3: RC0502 adapted: Storage clauses left out: NOTES: NOT COMPACT
-- 13:3: RC0502 adapted: Storage clauses left out: IMG: NOT LOGGED
-- 13:3: RC0502 adapted: Storage clauses left out: IMG: INLINE LENGTH 100
-- 19:3: RC0627 check: Said in other words, with a difference: the source sets TS at every UPDATE and lets nobody else do so, here it changes where other values do
-- 19:3: RC0609 adapted: Said in other words: ON UPDATE of TS as a trigger
-- 23:1: RC0627 check: Said in other words, with a difference: left out: PARTITION BY RANGE (ID) (STARTING 1 ENDING 100 EVERY 10) DISTRIBUTE BY HASH (ID)
-- 27:1: RC0502 adapted: Storage clauses left out: VOLATILE CARDINALITY
-- 28:1: RC0502 adapted: Storage clauses left out: ACTIVATE NOT LOGGED INITIALLY
-- 29:1: RC0502 adapted: Storage clauses left out: CLUSTER PCTFREE 10 ALLOW REVERSE SCANS COLLECT SAMPLED DETAILED STATISTICS COMPRESS NO
-- 29:1: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 30:1: RC0502 adapted: Storage clauses left out: EXCLUDE NULL KEYS
-- 31:1: RC0609 adapted: Said in other words: no numbers ahead: each session would keep, and lose, 20 of them
-- 33:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 35:1: RC0502 adapted: Storage clauses left out: DATA INITIALLY DEFERRED
-- 35:1: RC0502 adapted: Storage clauses left out: REFRESH DEFERRED
-- 36:1: RC0502 adapted: Storage clauses left out: NOT LOGGED
-- 36:1: RC0502 adapted: Storage clauses left out: WITH REPLACE
-- 37:1: RC0627 check: Said in other words, with a difference: the table is there for all sessions on the source; on the target each session has to create its own
-- 38:1: RC0604 adapted: Client command left out: LABEL ON TABLE TELESCOPE IS 'x'
-- 42:1: RC0602 by hand: No counterpart on the target: the right CONTROL
-- 43:1: RC0602 by hand: No counterpart on the target: GRANT of rights on the system
-- 46:49: RC0605 adapted: Hint left out: OPTIMIZE FOR 5 ROWS
-- 46:69: RC0605 adapted: Hint left out: WITH UR
-- 47:14: RC0608 adapted: Function spelled otherwise: VALUE means coalesce
-- 47:31: RC0606 check: Function is not in the dictionary: DIGITS
-- 47:86: RC0608 adapted: Function spelled otherwise: YEAR means extract_year
-- 47:95: RC0608 adapted: Function spelled otherwise: DAYOFWEEK means day_of_week_sunday_1
-- 47:124: RC0607 check: Function with a difference: the source counts a month as 30 days and a year as 365
-- 47:178: RC0608 adapted: Function spelled otherwise: POSSTR means locate
-- 47:234: RC0608 adapted: Function spelled otherwise: STRIP means trim
-- 47:247: RC0608 adapted: Function spelled otherwise: LCASE means lower
-- 47:260: RC0608 adapted: Function spelled otherwise: UCASE means upper
-- 47:321: RC0609 adapted: Said in other words: cut as on the source
-- 47:331: RC0609 adapted: Said in other words: cut as on the source
-- 47:483: RC0607 check: Function with a difference: char_length: the source counts bytes where the text is one of OCTETS
-- 47:483: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 49:93: RC0602 by hand: No counterpart on the target: XMLAGG
-- 54:1: RC0602 by hand: No counterpart on the target: several numbers of one sequence in a row, which are the same on one engine only
-- 55:8: RC0608 adapted: Function spelled otherwise: IDENTITY_VAL_LOCAL means last_identity
-- 56:207: RC0614 adapted: Condition made explicit: 0 for a truth value
-- 61:23: RC0602 by hand: No counterpart on the target: XMLTABLE
-- 64:15: RC0624 check: Sample drawn otherwise
-- 66:36: RC0605 adapted: Hint left out: WITH RS
-- 66:1: RC0609 adapted: Said in other words: a lock of all tables without their names
-- 67:81: RC0602 by hand: No counterpart on the target: a text of the kind GX'...'
-- 70:1: RC0602 by hand: No counterpart on the target: LOCK TABLE
-- 71:1: RC0604 adapted: Client command left out: RUNSTATS ON TABLE KRO . EV WITH DISTRIBUTION
-- 72:1: RC0604 adapted: Client command left out: REORG TABLE EV
-- 73:1: RC0604 adapted: Client command left out: REORG TABLE EV
-- 77:1: RC0627 check: Said in other words, with a difference: a synonym, which is taken for the view that stands for it
-- 79:1: RC0604 adapted: Client command left out: SET INTEGRITY FOR EV IMMEDIATE CHECKED
-- 80:1: RC0604 adapted: Client command left out: CREATE TABLESPACE, storage of the source's server
-- 81:1: RC0604 adapted: Client command left out: CREATE BUFFERPOOL, storage of the source's server
-- 82:1: RC0602 by hand: No counterpart on the target: variable
-- 83:1: RC0609 adapted: Said in other words: code in the target's own language
-- 85:15: RC0616 check: Tables of the engine itself: SYSCAT.TABLES
-- 86:1: RC0604 adapted: Client command left out: --#SET TERMINATOR @
-- 87:1: RC0609 adapted: Said in other words: code in the target's own language
-- 88:1: RC0604 adapted: Client command left out: --#SET TERMINATOR ;
-- 90:1: RC0604 adapted: Client command left out: TERMINATE
-- 91:1: RC0603 by hand: Code is not translated: ALTER MODULE
