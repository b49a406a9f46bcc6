-- to: postgresql
SET search_path TO public;
CREATE TABLE public.TELESCOPE (
    ID integer GENERATED ALWAYS AS IDENTITY (START WITH 1 INCREMENT BY 1) NOT NULL,
    NAME character varying(100) DEFAULT 'x' NOT NULL,
    C text,
    B bytea,
    V bytea CHECK (octet_length(v) <= 10),
    L text,
    D timestamp(6) without time zone DEFAULT LOCALTIMESTAMP,
    BO boolean,
    F text GENERATED ALWAYS AS (UPPER(NAME)) STORED,
    X xml,
    CONSTRAINT PK PRIMARY KEY (ID) DEFERRABLE INITIALLY DEFERRED
);
ALTER TABLE public.TELESCOPE ALTER COLUMN NAME TYPE character varying(200);
ALTER TABLE public.TELESCOPE ALTER COLUMN ID RESTART WITH 5;
ALTER TABLE public.TELESCOPE ALTER COLUMN NAME SET NOT NULL;
CREATE UNIQUE INDEX IX ON public.TELESCOPE (NAME, ID DESC);
-- DERBY-PROPERTIES index=IX
CREATE VIEW V (A) AS
SELECT ID FROM public.TELESCOPE;
-- RC0601 by hand: Statement not understood: found '1', expected the end of the statement
-- SELECT ID, {fn TIMESTAMPADD(SQL_TSI_DAY, 1, D)}, {fn CONCAT(NAME, 'x')}, SUBSTR(NAME, 2), LOCATE('a', NAME), CHAR(ID), INTEGER(5.5), CURRENT DATE, VALUES 1, COALESCE(NAME, 'y'), IDENTITY_VAL_LOCAL(), CURRENT_ROLE FROM APP.TELESCOPE OFFSET 2 ROWS FETCH NEXT 5 ROWS ONLY WITH RS
VALUES (LASTVAL());
-- RC0602 by hand: No counterpart on the target: SYSCS_UTIL.SYSCS_SET_DATABASE_PROPERTY, a procedure of the engine
-- CALL SYSCS_UTIL.SYSCS_SET_DATABASE_PROPERTY('a', 'b')
-- RC0603 by hand: Code is not translated: trigger
-- CREATE TRIGGER T AFTER INSERT ON APP.TELESCOPE REFERENCING NEW AS N FOR EACH ROW MODE DB2SQL INSERT INTO L VALUES (N.ID)
-- RC0603 by hand: Code is not translated: function
-- CREATE FUNCTION F (A INT) RETURNS INT PARAMETER STYLE JAVA NO SQL LANGUAGE JAVA EXTERNAL NAME 'x.y'
CREATE VIEW S AS
SELECT * FROM public.TELESCOPE;
-- RC0603 by hand: Code is not translated: aggregate
-- CREATE DERBY AGGREGATE A FOR INT EXTERNAL NAME 'x'
ALTER TABLE public.TELESCOPE RENAME TO SCOPE;
ALTER TABLE public.TELESCOPE RENAME COLUMN NAME TO NM;
MERGE INTO TELESCOPE T USING O ON T.ID = O.ID WHEN MATCHED THEN DELETE;
GRANT SELECT ON public.TELESCOPE TO PUBLIC;
-- RC0602 by hand: No counterpart on the target: LOCK TABLE
-- LOCK TABLE APP.TELESCOPE IN SHARE MODE

-- findings
-- 2:1: RC0604 adapted: Client command left out: connect 'jdbc:derby:x;create=true'
-- 3:1: RC0604 adapted: Client command left out: the schema APP is there
-- 5:1: RC0617 check: Trailing blanks in comparisons: those of stored texts count on the target, in this table and in all others; nothing to do where texts have none
-- 5:183: RC0109 adapted: Fixed number of bytes kept by a check: V: bytea with a check for at most 10 bytes
-- 5:1: RC0609 adapted: Said in other words: the schema APP as public
-- 6:1: RC0609 adapted: Said in other words: the schema APP as public
-- 7:1: RC0609 adapted: Said in other words: the schema APP as public
-- 8:1: RC0609 adapted: Said in other words: the schema APP as public
-- 9:1: RC0502 adapted: Storage clauses left out: LOCKSIZE ROW
-- 10:1: RC0609 adapted: Said in other words: the schema APP as public
-- 11:1: RC0609 adapted: Said in other words: the schema APP as public
-- 13:155: RC0601 by hand: Statement not understood: found '1', expected the end of the statement
-- 14:8: RC0608 adapted: Function spelled otherwise: IDENTITY_VAL_LOCAL means last_identity
-- 15:1: RC0602 by hand: No counterpart on the target: SYSCS_UTIL.SYSCS_SET_DATABASE_PROPERTY, a procedure of the engine
-- 16:1: RC0603 by hand: Code is not translated: trigger
-- 17:1: RC0603 by hand: Code is not translated: function
-- 18:1: RC0627 check: Said in other words, with a difference: a synonym as a view, which fits tables and views only
-- 18:1: RC0609 adapted: Said in other words: the schema APP as public
-- 19:1: RC0603 by hand: Code is not translated: aggregate
-- 20:1: RC0609 adapted: Said in other words: the schema APP as public
-- 21:1: RC0609 adapted: Said in other words: the schema APP as public
-- 23:1: RC0609 adapted: Said in other words: the schema APP as public
-- 24:1: RC0602 by hand: No counterpart on the target: LOCK TABLE
-- 25:1: RC0604 adapted: Client command left out: disconnect
-- 26:1: RC0604 adapted: Client command left out: exit
