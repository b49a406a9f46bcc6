-- to: postgresql mariadb
CREATE TABLE frame (
    id integer NOT NULL,
    a integer,
    b numeric(9,2),
    s character varying(40),
    c character(10),
    d date,
    ts timestamp(0) without time zone,
    n numeric
);
SELECT d + 1 FROM frame;
SELECT d - 7 FROM frame;
SELECT d - CURRENT_DATE FROM frame;
SELECT d - DATE '2026-01-01' FROM frame;
SELECT CAST(d + 1 * INTERVAL '1 month' AS date) FROM frame;
SELECT CAST(d + INTERVAL '1 month' AS date) FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- SELECT (ts - ts) DAY FROM frame
-- RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- SELECT (ts - ts) DAY(4) TO SECOND FROM frame
SELECT EXTRACT(DAY FROM d) FROM frame;
SELECT EXTRACT(YEAR FROM CURRENT_DATE) FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT LOCALTIME FROM frame;
SELECT CURRENT_TIMESTAMP(0) FROM frame;
SELECT CAST(d AS character(10)) FROM frame;
SELECT d FROM frame;
SELECT CAST(TO_CHAR(d, 'YYYYMMDD') AS character(8)) FROM frame;
SELECT d FROM frame;
SELECT DATE '2026-01-31' FROM frame;
SELECT DATE '2026-01-31' FROM frame;
-- RC0602 by hand: No counterpart on the target: a date as a number
-- SELECT CAST(d AS INTEGER) FROM frame
SELECT CAST(a AS character varying(10)) FROM frame;
SELECT CAST(TRUNC(b) AS integer) FROM frame;
SELECT CAST(s AS INTEGER) FROM frame;
SELECT CASE WHEN s ~ '^ *[-+]?[0-9]+ *$' THEN CAST(s AS integer) END FROM frame;
SELECT TO_CHAR(ts, 'YYYY-MM-DD') FROM frame;
SELECT DATE '2026-01-31' FROM frame;
SELECT CAST(s AS numeric) FROM frame;
SELECT a / 2 FROM frame;
SELECT b / 3 FROM frame;
SELECT a % 3 FROM frame;
SELECT POWER(a, 2) FROM frame;
SELECT s || c FROM frame;
SELECT BTRIM(s) FROM frame;
SELECT RTRIM(s) FROM frame;
SELECT BTRIM(s, '0') FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT CHAR_LENGTH(c) FROM frame;
SELECT SUBSTR(s, 2, 3) FROM frame;
SELECT SUBSTR(s, 2, 3) FROM frame;
SELECT STRPOS(s, 'a') FROM frame;
SELECT STRPOS(s, 'a') FROM frame;
SELECT STRPOS(s, 'a') FROM frame;
SELECT REPLACE(s, 'a', 'b') FROM frame;
SELECT TRANSLATE(s, 'ab', 'xy') FROM frame;
SELECT REGEXP_SUBSTR(s, '[0-9]+', 1, 1) FROM frame;
SELECT REGEXP_REPLACE(s, 'a', 'b', 1, 0, 'i') FROM frame;
SELECT CASE WHEN REGEXP_SIMILAR(s, 'a.*') = 1 THEN 1 END FROM frame;
SELECT SPLIT_PART(s, ',', 1) FROM frame;
SELECT UPPER(s) FROM frame;
SELECT LOWER(s) FROM frame;
SELECT COALESCE(a, 0) FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT COALESCE(a, 0) FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT CASE WHEN a = 1 THEN 'x' END FROM frame;
SELECT CASE a WHEN 1 THEN 'x' ELSE 'y' END FROM frame;
SELECT CASESPECIFIC FROM frame;
-- RC0602 by hand: No counterpart on the target: the attribute CASESPECIFIC of a value
-- SELECT s (CASESPECIFIC) FROM frame
SELECT RANDOM(1, 10) FROM frame;
SELECT HASHROW(s) FROM frame;
SELECT QUANTILE(10, a) FROM frame;
SELECT RANK() OVER (ORDER BY a NULLS FIRST) FROM frame;
-- RC0602 by hand: No counterpart on the target: an order inside of RANK
-- SELECT RANK(a DESC) FROM frame
SELECT CSUM(a, id) FROM frame;
SELECT SUM(a) OVER (ORDER BY id ROWS UNBOUNDED PRECEDING) FROM frame;
SELECT ROUND(b, 1) FROM frame;
SELECT TRUNC(b, 1) FROM frame;
SELECT CAST(DATE_TRUNC('month', d) AS date) FROM frame;
SELECT CAST(DATE_TRUNC('month', d) + INTERVAL '1 month' - INTERVAL '1 day' AS date) FROM frame;
SELECT ((EXTRACT(YEAR FROM CAST(d AS timestamp)) - EXTRACT(YEAR FROM CAST(d AS timestamp))) * 12 + EXTRACT(MONTH FROM CAST(d AS timestamp)) - EXTRACT(MONTH FROM CAST(d AS timestamp)) + CASE WHEN EXTRACT(DAY FROM CAST(d AS timestamp)) = EXTRACT(DAY FROM CAST(d AS timestamp)) OR (EXTRACT(DAY FROM CAST(d AS timestamp) + INTERVAL '1 day') = 1 AND EXTRACT(DAY FROM CAST(d AS timestamp) + INTERVAL '1 day') = 1) THEN 0 ELSE (EXTRACT(EPOCH FROM CAST(d AS timestamp) - DATE_TRUNC('month', CAST(d AS timestamp))) - EXTRACT(EPOCH FROM CAST(d AS timestamp) - DATE_TRUNC('month', CAST(d AS timestamp)))) / 2678400 END)
FROM frame;
SELECT (EXTRACT(DOW FROM d) + 1) FROM frame;
SELECT TD_WEEK_OF_YEAR(d) FROM frame;
SELECT CAST(DATE_TRUNC('month', d) AS date) FROM frame;
SELECT PERIOD(d, d) FROM frame;
SELECT BEGIN(PERIOD(d, d)) FROM frame;
SELECT CURRENT_USER FROM frame;
SELECT SESSION FROM frame;
SELECT DATABASE FROM frame;
SELECT CASE WHEN a >= 5 THEN a WHEN 5 > a THEN 5 END FROM frame;
SELECT LEFT(s, 3) FROM frame;
SELECT RIGHT(s, 3) FROM frame;
SELECT LPAD(s, 5, '0') FROM frame;
SELECT CHR(65) FROM frame;
SELECT ASCII(s) FROM frame;
SELECT a, s FROM frame WHERE s = 'x';
SELECT a FROM frame ORDER BY a NULLS FIRST LIMIT 5;
SELECT a FROM (SELECT * FROM frame ORDER BY RANDOM() LIMIT 10) frame;
SELECT a FROM frame TABLESAMPLE BERNOULLI (10);
SELECT a, s
FROM (
    SELECT a AS a, s AS s, ROW_NUMBER() OVER (PARTITION BY s ORDER BY a NULLS FIRST) AS row_rank_3
    FROM frame
) ranked_
WHERE row_rank_3 = 1;
SELECT a AS x, a * 2 AS y FROM frame WHERE a > 1;
SELECT a FROM frame WHERE CAST(a AS text) LIKE 'a%' OR CAST(a AS text) LIKE 'b%';
SELECT a FROM frame WHERE s NOT LIKE 'a%' AND s NOT LIKE 'b%';
SELECT a FROM frame WHERE (a, s) IN (SELECT a, s FROM frame);
SELECT a AS x FROM frame;
SELECT a FROM frame;
SELECT 0; SELECT a FROM frame;
SELECT 0;
-- RC0602 by hand: No counterpart on the target: LOCK TABLE
-- LOCK TABLE frame FOR ACCESS SELECT a FROM frame
-- RC0602 by hand: No counterpart on the target: the clause WITH after a statement
-- SELECT COUNT(*) FROM frame GROUP BY 1 WITH SUM(a) BY s
SELECT a FROM frame
EXCEPT
SELECT b FROM frame;
SELECT * FROM frame WHERE d BETWEEN DATE '2026-01-01' AND CURRENT_DATE;
SELECT * FROM frame WHERE d > DATE '2026-01-31';
-- RC0602 by hand: No counterpart on the target: the attribute NOT of a value
-- SELECT * FROM frame WHERE s = 'abc' (NOT CS)
SELECT a FROM frame WHERE a = 1 AND b > 2 AND a <> 3;
UPDATE frame SET a = CAST(TRUNC(x.b) AS integer) FROM frame x WHERE frame.id = x.id;
UPDATE frame x
SET a = CAST(TRUNC(y.b) AS integer)
FROM (SELECT id, b FROM frame) y
WHERE x.id = y.id;
DELETE FROM frame;
SELECT 0; DELETE FROM frame;
SELECT 0; INSERT INTO frame (id, a) VALUES (1, 2);
INSERT INTO frame VALUES (1, 2, 3.0, 's', 'c', CURRENT_DATE, CURRENT_TIMESTAMP(0), 4);
MERGE INTO frame
USING (SELECT 1 AS one_) row_
ON id = 1
WHEN MATCHED THEN UPDATE SET a = 1
WHEN NOT MATCHED THEN INSERT (id, a) VALUES (1, 1);
MERGE INTO frame USING (SELECT id, a FROM frame) x ON frame.id = x.id WHEN MATCHED THEN UPDATE SET a = x.a WHEN NOT MATCHED THEN INSERT (id, a) VALUES (x.id, x.a);
CREATE TEMPORARY TABLE v AS
SELECT a FROM frame;
CREATE TABLE m (
    a integer,
    d date,
    s character varying(10)
);
SELECT 0;
CREATE OR REPLACE VIEW vv AS
SELECT a FROM frame;
CREATE TABLE u AS
SELECT * FROM frame
WITH NO DATA;
SELECT 0; BEGIN;
SELECT 0; COMMIT;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: PRIMARY INDEX
-- 9:18: RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- 10:18: RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- 17:8: RC0625 check: Types compared as on the source: engines spell dates and times in different ways
-- 18:8: RC0605 adapted: Hint left out: CAST ( d AS FORMAT 'YYYY-MM-DD' )
-- 20:8: RC0605 adapted: Hint left out: d ( FORMAT 'YYYY-MM-DD' )
-- 21:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 23:1: RC0602 by hand: No counterpart on the target: a date as a number
-- 25:8: RC0609 adapted: Said in other words: cut as on the source
-- 27:8: RC0627 check: Said in other words, with a difference: NULL for what is no number; one that is too great for the type is refused
-- 29:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 30:8: RC0608 adapted: Function spelled otherwise: TO_NUMBER means number_of
-- 32:10: RC0607 check: Function with a difference: the source rounds a quotient to few digits
-- 35:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 39:8: RC0608 adapted: Function spelled otherwise: CHARACTER_LENGTH means char_length
-- 40:8: RC0608 adapted: Function spelled otherwise: CHARACTERS means char_length
-- 41:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 44:8: RC0612 check: Comparison may ignore case on one engine: locate
-- 44:8: RC0608 adapted: Function spelled otherwise: INDEX means locate
-- 45:8: RC0612 check: Comparison may ignore case on one engine: locate
-- 46:8: RC0612 check: Comparison may ignore case on one engine: locate
-- 46:8: RC0608 adapted: Function spelled otherwise: INSTR means locate
-- 47:8: RC0608 adapted: Function spelled otherwise: OREPLACE means replace
-- 48:8: RC0608 adapted: Function spelled otherwise: OTRANSLATE means translate
-- 50:8: RC0606 check: Function is not in the dictionary: REGEXP_REPLACE with these 6 argument(s)
-- 51:43: RC0612 check: Comparison may ignore case on one engine: s
-- 51:18: RC0606 check: Function is not in the dictionary: REGEXP_SIMILAR
-- 52:8: RC0607 check: Function with a difference: split_part: the source passes over empty parts, and takes each character for a separator
-- 52:8: RC0608 adapted: Function spelled otherwise: STRTOK means split_part
-- 55:8: RC0609 adapted: Said in other words: zero_if_null in other words
-- 56:8: RC0609 adapted: Said in other words: null_if_zero in other words
-- 58:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 60:8: RC0609 adapted: Said in other words: decode in other words
-- 62:11: RC0602 by hand: No counterpart on the target: the attribute CASESPECIFIC of a value
-- 63:8: RC0606 check: Function is not in the dictionary: RANDOM
-- 64:8: RC0606 check: Function is not in the dictionary: HASHROW
-- 65:8: RC0606 check: Function is not in the dictionary: QUANTILE
-- 66:30: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 67:15: RC0602 by hand: No counterpart on the target: an order inside of RANK
-- 68:8: RC0606 check: Function is not in the dictionary: CSUM
-- 75:8: RC0608 adapted: Function spelled otherwise: TD_DAY_OF_WEEK means day_of_week_sunday_1
-- 76:8: RC0606 check: Function is not in the dictionary: TD_WEEK_OF_YEAR
-- 77:8: RC0608 adapted: Function spelled otherwise: TD_MONTH_BEGIN means trunc_month
-- 78:8: RC0606 check: Function is not in the dictionary: PERIOD
-- 79:9: RC0606 check: Function is not in the dictionary: BEGIN
-- 79:15: RC0606 check: Function is not in the dictionary: PERIOD
-- 81:8: RC0606 check: Function is not in the dictionary: SESSION
-- 82:8: RC0606 check: Function is not in the dictionary: DATABASE
-- 83:8: RC0609 adapted: Said in other words: greatest in other words
-- 89:32: RC0612 check: Comparison may ignore case on one engine: s
-- 90:36: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 91:15: RC0624 check: Sample drawn otherwise
-- 92:15: RC0624 check: Sample drawn otherwise
-- 93:64: RC0612 check: Comparison may ignore case on one engine: PARTITION BY
-- 93:75: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 93:1: RC0609 adapted: Said in other words: QUALIFY as a query around the query
-- 94:16: RC0609 adapted: Said in other words: x as the expression of that name in the same SELECT
-- 94:44: RC0609 adapted: Said in other words: x as the expression of that name in the same SELECT
-- 95:27: RC0609 adapted: Said in other words: a number as a text for LIKE
-- 96:29: RC0612 check: Comparison may ignore case on one engine: s
-- 97:34: RC0612 check: Comparison may ignore case on one engine: s
-- 100:11: RC0605 adapted: Hint left out: LOCKING ROW FOR ACCESS
-- 101:11: RC0602 by hand: No counterpart on the target: LOCK TABLE
-- 102:39: RC0602 by hand: No counterpart on the target: the clause WITH after a statement
-- 106:38: RC0602 by hand: No counterpart on the target: the attribute NOT of a value
-- 108:35: RC0609 adapted: Said in other words: cut as on the source
-- 109:60: RC0609 adapted: Said in other words: cut as on the source
-- 117:1: RC0502 adapted: Storage clauses left out: MULTISET
-- 117:1: RC0502 adapted: Storage clauses left out: NO FALLBACK
-- 117:1: RC0502 adapted: Storage clauses left out: PRIMARY INDEX
-- 117:1: RC0627 check: Said in other words, with a difference: left out: PARTITION BY RANGE_N (d BETWEEN DATE '2026-01-01' AND DATE '2026-12-31' EACH INTERVAL '1' MONTH)
-- 117:50: RC0502 adapted: Storage clauses left out: d: FORMAT 'YYYY-MM-DD'
-- 117:78: RC0502 adapted: Storage clauses left out: s: CHARACTER SET LATIN
-- 117:78: RC0502 adapted: Storage clauses left out: s: NOT CASESPECIFIC
-- 117:78: RC0502 adapted: Storage clauses left out: s: COMPRESS ('x')
-- 118:11: RC0604 adapted: Client command left out: COLLECT STATISTICS ON frame COLUMN ( a )
-- 119:20: RC0605 adapted: Hint left out: LOCKING ROW FOR ACCESS
