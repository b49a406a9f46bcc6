-- to: postgresql
SET search_path TO kestrel;
CREATE TABLE kestrel.telescope (
    telescope_id integer GENERATED ALWAYS AS IDENTITY (START WITH 1 INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647) NOT NULL,
    name character varying(100) NOT NULL,
    code character(3),
    aperture numeric(6,3) DEFAULT 0.000,
    b smallint,
    bi bigint,
    f double precision,
    n numeric(10,2),
    by1 bytea CHECK (octet_length(by1) = 4),
    vb bytea CHECK (octet_length(vb) <= 100),
    c text,
    bl bytea,
    d date DEFAULT CURRENT_DATE NOT NULL,
    t time(0) without time zone,
    ts timestamp(6) without time zone DEFAULT CURRENT_TIMESTAMP(6),
    tz timestamp(0) with time zone,
    iv interval,
    p text,
    CONSTRAINT pk PRIMARY KEY (telescope_id),
    CHECK (aperture >= 0)
);
CREATE INDEX nx ON kestrel.telescope (name);
CREATE TEMPORARY TABLE vt AS
SELECT * FROM telescope;
CREATE TEMPORARY TABLE gt (
    a integer
) ON COMMIT DELETE ROWS;
CREATE OR REPLACE VIEW v AS
SELECT telescope_id, name, CAST(TO_CHAR(d, 'YYYY') AS character(4)) AS column_3 FROM telescope;
SELECT * FROM telescope ORDER BY 1 NULLS FIRST LIMIT 10;
-- RC0602 by hand: No counterpart on the target: a share of the rows, or rows WITH TIES cannot be said in postgresql
-- SELECT TOP 5 PERCENT WITH TIES * FROM telescope ORDER BY aperture
SELECT *
FROM (SELECT *, ROW_NUMBER() OVER (PARTITION BY code ORDER BY d DESC) AS row_rank_2 FROM telescope) ranked_
WHERE row_rank_2 = 1;
SELECT * FROM (SELECT * FROM telescope ORDER BY RANDOM() LIMIT 10) telescope;
SELECT * FROM telescope TABLESAMPLE BERNOULLI (25);
-- RC0602 by hand: No counterpart on the target: the attribute NOT of a value
-- SELECT name, ZEROIFNULL(aperture), NULLIFZERO(aperture), NVL(name,'x'), CHARACTERS(name), CHAR_LENGTH(name), INDEX(name,'a'), POSITION('a' IN name), SUBSTRING(name FROM 2 FOR 3), SUBSTR(name, 2), TRIM(BOTH FROM name), OREPLACE(name,'a','b'), OTRANSLATE(name,'a','b'), name || 'x', UPPER(name), LOWER(name), aperture MOD 3, aperture ** 2, name (NOT CASESPECIFIC) FROM telescope
-- RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- SELECT d + 7, d - DATE '2020-01-01', ADD_MONTHS(d, 3), EXTRACT(YEAR FROM d), d (FORMAT 'YYYYMMDD'), CAST(d AS FORMAT 'YYYY-MM-DD'), CAST(CAST(d AS FORMAT 'YYYYMMDD') AS CHAR(8)), CURRENT_DATE, DATE, TIME, USER, LAST_DAY(d), TO_CHAR(d,'YYYY-MM'), TRUNC(d,'MM'), d + INTERVAL '1' YEAR, (ts - ts) DAY(4) TO SECOND, TD_DAY_OF_WEEK(d) FROM telescope
SELECT
    DATE '2020-01-02',
    CAST(name AS integer),
    CAST(name AS integer),
    CASE WHEN b = 1 THEN 'x' END,
    COALESCE(name, 'y')
FROM telescope;
-- RC0602 by hand: No counterpart on the target: the clause WITH after a statement
-- SELECT code, SUM(aperture) (DECIMAL(10,2)) FROM telescope GROUP BY 1 WITH SUM(aperture) BY code
SELECT a.name
FROM telescope a, telescope b
WHERE a.telescope_id = b.telescope_id
    AND (a.name LIKE 'a%' OR a.name LIKE 'b%')
    AND b.code NOT IN ('x')
    AND a.name = 'z'
    AND a.b > 5;
-- RC0602 by hand: No counterpart on the target: an order inside of RANK
-- SELECT RANK(aperture DESC), CSUM(aperture, d), MAVG(aperture, 3, d), MSUM(aperture, 3, d), MDIFF(aperture, 1, d), QUANTILE(100, aperture) FROM telescope
-- RC0602 by hand: No counterpart on the target: RESET WHEN
-- SELECT SUM(aperture) OVER (PARTITION BY code ORDER BY d ROWS UNBOUNDED PRECEDING), COUNT(*) OVER (ORDER BY d RESET WHEN b = 1) FROM telescope
UPDATE telescope SET name = vt.name FROM vt WHERE telescope.telescope_id = vt.telescope_id;
MERGE INTO telescope
USING (SELECT 1 AS one_) row_
ON telescope_id = 1
WHEN MATCHED THEN UPDATE SET name = 'x'
WHEN NOT MATCHED THEN INSERT VALUES (1, 'x');
DELETE FROM telescope;
DELETE FROM telescope WHERE d < CURRENT_DATE - 30;
-- RC0602 by hand: No counterpart on the target: a DELETE from telescope, which is not among its tables
-- DELETE telescope FROM vt WHERE telescope.telescope_id = vt.telescope_id
INSERT INTO telescope (telescope_id, name) VALUES (1, 'a');
INSERT INTO telescope SELECT * FROM vt;
INSERT INTO telescope VALUES (1, 'A', NULL, 5);
MERGE INTO telescope t
USING (VALUES (1, 'a')) s (id, nm)
ON t.telescope_id = s.id
WHEN MATCHED THEN UPDATE SET name = s.nm
WHEN NOT MATCHED THEN INSERT (telescope_id, name) VALUES (s.id, s.nm);
COMMENT ON TABLE telescope IS 'Scopes';
COMMENT ON COLUMN telescope.name IS 'Name';
CREATE INDEX ix ON telescope (name);
CREATE UNIQUE INDEX uix ON telescope (code);
-- RC0602 by hand: No counterpart on the target: join
-- CREATE JOIN INDEX ji AS SELECT name FROM telescope PRIMARY INDEX (name)
-- RC0603 by hand: Code is not translated: macro
-- CREATE MACRO m (a INTEGER) AS (SELECT * FROM telescope WHERE telescope_id = :a;)
CALL m(5);
ALTER TABLE telescope RENAME TO scope;
ALTER TABLE scope RENAME TO telescope;
ALTER TABLE telescope ADD COLUMN z integer;
ALTER TABLE telescope DROP COLUMN b;
ALTER TABLE telescope ADD COLUMN q character varying(10);
GRANT SELECT ON kestrel TO app;
GRANT SELECT, UPDATE ON kestrel.telescope TO app WITH GRANT OPTION;
BEGIN; COMMIT;
SELECT * FROM telescope;
-- RC0602 by hand: No counterpart on the target: SHOW
-- SHOW TABLE telescope
WITH RECURSIVE r (n) AS (SELECT telescope_id FROM telescope UNION ALL SELECT n + 1 FROM r WHERE n < 5) SELECT * FROM r;
SELECT * FROM telescope WHERE (name, code) IN (SELECT name, code FROM vt)
EXCEPT
SELECT * FROM vt;
SELECT
    CAST(ts AS date),
    CAST(ts AS time(0) without time zone),
    CAST(ts AS timestamp(6) with time zone),
    CURRENT_TIMESTAMP(0),
    SESSION,
    ACCOUNT,
    PROFILE
FROM telescope;
SELECT
    SPLIT_PART(name, ',', 2),
    REGEXP_REPLACE(name, 'a', 'b', 1, 0, 'i'),
    REGEXP_SIMILAR(name, 'a.*', 'i'),
    HASHROW(name),
    RANDOM(1, 10),
    CASE WHEN name ~ '^ *[-+]?[0-9]+ *$' THEN CAST(name AS integer) END,
    CASE b WHEN 1 THEN 'a' ELSE 'b' END,
    CASE WHEN 1 >= 2 THEN 1 WHEN 2 > 1 THEN 2 END,
    CASE WHEN name IS NOT NULL THEN 'a' ELSE 'b' END,
    STRPOS(name, 'a'),
    LPAD(name, 5),
    INITCAP(name),
    STRING_AGG(name, '' ORDER BY name),
    CAST('5' AS numeric),
    DATE '2020-01-01'
FROM telescope;
-- RC0603 by hand: Code is not translated: routine
-- REPLACE MACRO bright (m DECIMAL(5,2)) AS (
--   SELECT id FROM star WHERE mag < :m;
--   UPDATE star SET mag = 1 WHERE mag < :m;
-- )
CREATE OR REPLACE FUNCTION dimmed() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    INSERT INTO log VALUES (new.id);
    DELETE FROM star;
    RETURN NULL;
END;
$$;
CREATE TRIGGER dimmed AFTER UPDATE OF mag ON star
FOR EACH ROW
WHEN (new.mag > 1)
EXECUTE FUNCTION dimmed();
CREATE OR REPLACE PROCEDURE dim(p_which integer)
LANGUAGE plpgsql
SECURITY DEFINER
AS $$
#variable_conflict use_variable
DECLARE
    v_n integer := 0;
BEGIN
    UPDATE star SET mag = mag + 1 WHERE id = p_which;
    IF v_n = 0 THEN
        DELETE FROM star;
    END IF;
END;
$$;
SELECT 5 AS behind_code;

-- findings
-- 2:1: RC0604 adapted: Client command left out: .LOGON host/user,pw
-- 3:1: RC0604 adapted: Client command left out: .SET WIDTH 200
-- 5:1: RC0502 adapted: Storage clauses left out: MULTISET
-- 5:1: RC0502 adapted: Storage clauses left out: NO FALLBACK
-- 5:1: RC0502 adapted: Storage clauses left out: NO BEFORE JOURNAL
-- 5:1: RC0502 adapted: Storage clauses left out: NO AFTER JOURNAL
-- 5:1: RC0502 adapted: Storage clauses left out: CHECKSUM = DEFAULT
-- 5:1: RC0502 adapted: Storage clauses left out: DEFAULT MERGEBLOCKRATIO
-- 5:1: RC0627 check: Said in other words, with a difference: left out: PARTITION BY RANGE_N (d BETWEEN DATE '2010-01-01' AND DATE '2020-12-31' EACH INTERVAL '1' MONTH , NO RANGE)
-- 12:7: RC0502 adapted: Storage clauses left out: name: CHARACTER SET UNICODE
-- 12:7: RC0502 adapted: Storage clauses left out: name: NOT CASESPECIFIC
-- 12:7: RC0502 adapted: Storage clauses left out: name: TITLE 'Name'
-- 13:7: RC0502 adapted: Storage clauses left out: code: CHARACTER SET LATIN
-- 13:7: RC0502 adapted: Storage clauses left out: code: COMPRESS ('abc' , 'def')
-- 13:7: RC0502 adapted: Storage clauses left out: code: CASESPECIFIC
-- 14:7: RC0502 adapted: Storage clauses left out: aperture: FORMAT '---9.999'
-- 15:7: RC0117 adapted: Wider type: b: 8 bits in a smallint
-- 15:54: RC0109 adapted: Fixed number of bytes kept by a check: by1: bytea with a check for 4 bytes
-- 15:67: RC0109 adapted: Fixed number of bytes kept by a check: vb: bytea with a check for at most 100 bytes
-- 15:84: RC0502 adapted: Storage clauses left out: c: CHARACTER SET LATIN
-- 16:7: RC0502 adapted: Storage clauses left out: d: FORMAT 'YYYY-MM-DD'
-- 18:40: RC0111 check: Type without counterpart crosses as text or bytes: p: period(date) as text
-- 5:1: RC0502 adapted: Storage clauses left out: UNIQUE on the columns of the primary key
-- 24:1: RC0502 adapted: Storage clauses left out: PRIMARY INDEX
-- 25:1: RC0627 check: Said in other words, with a difference: left out: SET: no row twice
-- 25:1: RC0627 check: Said in other words, with a difference: the table is there for all sessions on the source; on the target each session has to create its own
-- 26:19: RC0605 adapted: Hint left out: LOCKING ROW FOR ACCESS
-- 26:96: RC0627 check: Said in other words, with a difference: the column has no name of its own and is called column_3 here; engines call it in different ways
-- 27:38: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 28:1: RC0602 by hand: No counterpart on the target: a share of the rows, or rows WITH TIES cannot be said in postgresql
-- 29:1: RC0609 adapted: Said in other words: QUALIFY as a query around the query
-- 29:1: RC0627 check: Said in other words, with a difference: the star brings further columns, which hold the rank
-- 30:15: RC0624 check: Sample drawn otherwise
-- 31:15: RC0624 check: Sample drawn otherwise
-- 32:345: RC0602 by hand: No counterpart on the target: the attribute NOT of a value
-- 33:295: RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- 34:8: RC0609 adapted: Said in other words: the date that the mask reads: 2020-01-02
-- 35:70: RC0602 by hand: No counterpart on the target: the clause WITH after a statement
-- 36:94: RC0612 check: Comparison may ignore case on one engine: a.name
-- 36:151: RC0612 check: Comparison may ignore case on one engine: a.name
-- 37:22: RC0602 by hand: No counterpart on the target: an order inside of RANK
-- 38:110: RC0602 by hand: No counterpart on the target: RESET WHEN
-- 43:1: RC0602 by hand: No counterpart on the target: a DELETE from telescope, which is not among its tables
-- 48:1: RC0604 adapted: Client command left out: COLLECT STATISTICS COLUMN ( telescope_id ) , COLUMN ( name ) ON telescope
-- 49:1: RC0604 adapted: Client command left out: COLLECT STATS ON telescope INDEX ( telescope_id )
-- 54:1: RC0602 by hand: No counterpart on the target: join
-- 55:1: RC0603 by hand: Code is not translated: macro
-- 60:1: RC0604 adapted: Client command left out: DROP STATISTICS
-- 64:1: RC0605 adapted: Hint left out: LOCKING TABLE telescope FOR ACCESS
-- 65:1: RC0604 adapted: Client command left out: HELP TABLE telescope
-- 66:1: RC0602 by hand: No counterpart on the target: SHOW
-- 68:75: RC0612 check: Comparison may ignore case on one engine: EXCEPT
-- 68:44: RC0612 check: Comparison may ignore case on one engine: name
-- 68:44: RC0617 check: Trailing blanks in comparisons: code
-- 69:50: RC0607 check: Function with a difference: instant_in_zone: the instant is the same, but it is shown in the zone of the session
-- 69:92: RC0606 check: Function is not in the dictionary: SESSION
-- 69:101: RC0606 check: Function is not in the dictionary: ACCOUNT
-- 69:110: RC0606 check: Function is not in the dictionary: PROFILE
-- 70:8: RC0607 check: Function with a difference: split_part: the source passes over empty parts, and takes each character for a separator
-- 70:8: RC0608 adapted: Function spelled otherwise: STRTOK means split_part
-- 70:30: RC0606 check: Function is not in the dictionary: REGEXP_REPLACE with these 6 argument(s)
-- 70:68: RC0606 check: Function is not in the dictionary: REGEXP_SIMILAR
-- 70:100: RC0606 check: Function is not in the dictionary: HASHROW
-- 70:115: RC0606 check: Function is not in the dictionary: RANDOM
-- 70:129: RC0627 check: Said in other words, with a difference: NULL for what is no number; one that is too great for the type is refused
-- 70:155: RC0609 adapted: Said in other words: decode in other words
-- 70:176: RC0609 adapted: Said in other words: greatest in other words
-- 70:191: RC0609 adapted: Said in other words: if_null_else in other words
-- 70:211: RC0612 check: Comparison may ignore case on one engine: locate
-- 70:211: RC0608 adapted: Function spelled otherwise: INSTR means locate
-- 70:257: RC0612 check: Comparison may ignore case on one engine: ORDER BY
-- 70:285: RC0608 adapted: Function spelled otherwise: TO_NUMBER means number_of
-- 70:301: RC0609 adapted: Said in other words: the date that the mask reads: 2020-01-01
-- 71:1: RC0604 adapted: Client command left out: .IF ERRORCODE <> 0 THEN .QUIT 1
-- 72:1: RC0604 adapted: Client command left out: .LOGOFF
-- 73:1: RC0603 by hand: Code is not translated: routine
-- 77:1: RC0609 adapted: Said in other words: code in the target's own language
-- 78:1: RC0609 adapted: Said in other words: code in the target's own language
