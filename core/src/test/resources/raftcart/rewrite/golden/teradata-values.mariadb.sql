-- to: postgresql mariadb
CREATE TABLE frame (
    id int NOT NULL,
    a int,
    b decimal(9,2),
    s varchar(40),
    c char(10),
    d date,
    ts datetime(0),
    n decimal(65,30)
);
SELECT DATE_ADD(d, INTERVAL 1 DAY) FROM frame;
SELECT DATE_ADD(d, INTERVAL (-7) DAY) FROM frame;
SELECT DATEDIFF(d, CURRENT_DATE) FROM frame;
SELECT DATEDIFF(d, DATE '2026-01-01') FROM frame;
SELECT DATE_ADD(d, INTERVAL 1 MONTH) FROM frame;
SELECT d + INTERVAL 1 MONTH FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- SELECT (ts - ts) DAY FROM frame
-- RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- SELECT (ts - ts) DAY(4) TO SECOND FROM frame
SELECT DAY(d) FROM frame;
SELECT YEAR(CURRENT_DATE) FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT CURRENT_TIME(6) FROM frame;
SELECT CURRENT_TIMESTAMP FROM frame;
SELECT CAST(d AS CHAR(10)) FROM frame;
SELECT d FROM frame;
SELECT CAST(DATE_FORMAT(d, '%Y%m%d') AS char(8)) FROM frame;
SELECT d FROM frame;
SELECT DATE '2026-01-31' FROM frame;
SELECT DATE '2026-01-31' FROM frame;
-- RC0602 by hand: No counterpart on the target: a date as a number
-- SELECT CAST(d AS INTEGER) FROM frame
SELECT CAST(a AS char(10)) FROM frame;
SELECT CAST(TRUNCATE(b, 0) AS signed) FROM frame;
SELECT CAST(s AS signed) FROM frame;
SELECT CASE WHEN s REGEXP '^ *[-+]?[0-9]+ *$' THEN CAST(s AS signed) END FROM frame;
SELECT DATE_FORMAT(ts, '%Y-%m-%d') FROM frame;
SELECT DATE '2026-01-31' FROM frame;
SELECT CAST(s AS DECIMAL(65, 30)) FROM frame;
SELECT a DIV 2 FROM frame;
SELECT CAST(b AS decimal(65,30)) / 3 FROM frame;
SELECT a % 3 FROM frame;
SELECT POWER(a, 2) FROM frame;
SELECT CONCAT(s, c) FROM frame;
SELECT TRIM(s) FROM frame;
SELECT RTRIM(s) FROM frame;
SELECT TRIM(BOTH '0' FROM s) FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT CHAR_LENGTH(c) FROM frame;
SELECT SUBSTR(s, 2, 3) FROM frame;
SELECT SUBSTR(s, 2, 3) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT REPLACE(s, 'a', 'b') FROM frame;
SELECT REPLACE(REPLACE(s, 'a', 'x'), 'b', 'y') FROM frame;
-- RC0602 by hand: No counterpart on the target: the function regexp_substring_nth with 4 argument(s) has no counterpart in mariadb
-- SELECT REGEXP_SUBSTR(s, '[0-9]+', 1, 1) FROM frame
SELECT REGEXP_REPLACE(s, 'a', 'b', 1, 0, 'i') FROM frame;
SELECT CASE WHEN REGEXP_SIMILAR(s, 'a.*') = 1 THEN 1 END FROM frame;
SELECT CASE WHEN CHAR_LENGTH(s) - CHAR_LENGTH(REPLACE(s, ',', '')) >= (1 - 1) * CHAR_LENGTH(',') THEN SUBSTRING_INDEX(SUBSTRING_INDEX(s, ',', 1), ',', -1) WHEN s IS NOT NULL THEN '' END
FROM frame;
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
SELECT RANK() OVER (ORDER BY a) FROM frame;
-- RC0602 by hand: No counterpart on the target: an order inside of RANK
-- SELECT RANK(a DESC) FROM frame
SELECT CSUM(a, id) FROM frame;
SELECT SUM(a) OVER (ORDER BY id ROWS UNBOUNDED PRECEDING) FROM frame;
SELECT ROUND(b, 1) FROM frame;
SELECT TRUNCATE(b, 1) FROM frame;
SELECT CAST(DATE_FORMAT(d, '%Y-%m-01') AS DATETIME) FROM frame;
SELECT LAST_DAY(d) FROM frame;
SELECT (PERIOD_DIFF(EXTRACT(YEAR_MONTH FROM d), EXTRACT(YEAR_MONTH FROM d)) + CASE WHEN DAYOFMONTH(d) = DAYOFMONTH(d) OR (DAYOFMONTH(d) = DAYOFMONTH(LAST_DAY(d)) AND DAYOFMONTH(d) = DAYOFMONTH(LAST_DAY(d))) THEN 0 ELSE CAST(DAYOFMONTH(d) - DAYOFMONTH(d) + (TIME_TO_SEC(TIME(d)) - TIME_TO_SEC(TIME(d))) / 86400.0000000000 AS DECIMAL(30, 15)) / 31 END)
FROM frame;
SELECT DAYOFWEEK(d) FROM frame;
SELECT TD_WEEK_OF_YEAR(d) FROM frame;
SELECT CAST(DATE_FORMAT(d, '%Y-%m-01') AS DATETIME) FROM frame;
SELECT PERIOD(d, d) FROM frame;
SELECT BEGIN(PERIOD(d, d)) FROM frame;
SELECT SUBSTRING_INDEX(CURRENT_USER(), '@', 1) FROM frame;
SELECT SESSION FROM frame;
SELECT `DATABASE` FROM frame;
SELECT GREATEST(a, 5) FROM frame;
SELECT LEFT(s, 3) FROM frame;
SELECT RIGHT(s, 3) FROM frame;
SELECT LPAD(s, 5, '0') FROM frame;
SELECT CHAR(65 USING utf8mb4) FROM frame;
SELECT ORD(CONVERT(LEFT(s, 1) USING utf32)) FROM frame;
SELECT a, s FROM frame WHERE s = 'x';
SELECT a FROM frame ORDER BY a LIMIT 5;
SELECT a FROM (SELECT * FROM frame ORDER BY RAND() LIMIT 10) frame;
SELECT a FROM (SELECT * FROM frame WHERE RAND() * 100 < 10) frame;
SELECT a, s
FROM (SELECT a AS a, s AS s, ROW_NUMBER() OVER (PARTITION BY s ORDER BY a) AS row_rank_3 FROM frame) ranked_
WHERE row_rank_3 = 1;
SELECT a AS x, a * 2 AS y FROM frame WHERE a > 1;
SELECT a FROM frame WHERE a LIKE 'a%' OR a LIKE 'b%';
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
UPDATE frame
CROSS JOIN frame x
SET frame.a = CAST(TRUNCATE(x.b, 0) AS signed)
WHERE frame.id = x.id;
UPDATE frame x
CROSS JOIN (SELECT id, b FROM frame) y
SET x.a = CAST(TRUNCATE(y.b, 0) AS signed)
WHERE x.id = y.id;
DELETE FROM frame;
SELECT 0; DELETE FROM frame;
SELECT 0; INSERT INTO frame (id, a) VALUES (1, 2);
INSERT INTO frame VALUES (1, 2, 3.0, 's', 'c', CURRENT_DATE, CURRENT_TIMESTAMP, 4);
-- RC0602 by hand: No counterpart on the target: a MERGE whose rows match by other than equal columns
-- UPDATE frame SET a = 1 WHERE id = 1 ELSE INSERT INTO frame (id, a) VALUES (1, 1)
INSERT INTO frame (id, a)
SELECT x.id, x.a FROM (SELECT id, a FROM frame) x
ON DUPLICATE KEY UPDATE a = VALUES(a);
CREATE TEMPORARY TABLE v AS
SELECT a FROM frame;
CREATE TABLE m (
    a int,
    d date,
    s varchar(10)
);
SELECT 0;
CREATE OR REPLACE VIEW vv AS
SELECT a FROM frame;
CREATE TABLE u AS
SELECT * FROM (SELECT * FROM frame) source_rows_ WHERE 1 = 0;
SELECT 0; START TRANSACTION;
SELECT 0; COMMIT;

-- findings
-- 2:1: RC0502 adapted: Storage clauses left out: PRIMARY INDEX
-- 2:121: RC0110 check: Number without precision is bounded: n: number without precision as decimal(65,30)
-- 2:1: RC0409 check: Accents do not count on the target: s, c
-- 3:10: RC0609 adapted: Said in other words: days added to a date
-- 4:10: RC0609 adapted: Said in other words: days added to a date
-- 9:18: RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- 10:18: RC0602 by hand: No counterpart on the target: a difference of times as an interval
-- 17:8: RC0625 check: Types compared as on the source: engines spell dates and times in different ways
-- 18:8: RC0605 adapted: Hint left out: CAST ( d AS FORMAT 'YYYY-MM-DD' )
-- 19:8: RC0609 adapted: Said in other words: the mask YYYYMMDD is %Y%m%d
-- 20:8: RC0605 adapted: Hint left out: d ( FORMAT 'YYYY-MM-DD' )
-- 21:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 23:1: RC0602 by hand: No counterpart on the target: a date as a number
-- 25:8: RC0609 adapted: Said in other words: cut as on the source
-- 27:8: RC0627 check: Said in other words, with a difference: NULL for what is no number; one that is too great for the type is refused
-- 28:20: RC0609 adapted: Said in other words: the mask YYYY-MM-DD is %Y-%m-%d
-- 29:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 30:8: RC0608 adapted: Function spelled otherwise: TO_NUMBER means number_of
-- 31:10: RC0615 adapted: Division kept: without a fraction
-- 32:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 32:10: RC0607 check: Function with a difference: the source rounds a quotient to few digits
-- 35:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 39:8: RC0608 adapted: Function spelled otherwise: CHARACTER_LENGTH means char_length
-- 40:8: RC0608 adapted: Function spelled otherwise: CHARACTERS means char_length
-- 41:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 44:8: RC0608 adapted: Function spelled otherwise: INDEX means locate
-- 46:8: RC0608 adapted: Function spelled otherwise: INSTR means locate
-- 47:8: RC0608 adapted: Function spelled otherwise: OREPLACE means replace
-- 48:8: RC0609 adapted: Said in other words: translate in other words
-- 49:1: RC0602 by hand: No counterpart on the target: the function regexp_substring_nth with 4 argument(s) has no counterpart in mariadb
-- 50:8: RC0606 check: Function is not in the dictionary: REGEXP_REPLACE with these 6 argument(s)
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
-- 87:8: RC0608 adapted: Function spelled otherwise: CHR means char_of
-- 91:15: RC0624 check: Sample drawn otherwise
-- 92:15: RC0624 check: Sample drawn otherwise
-- 93:1: RC0609 adapted: Said in other words: QUALIFY as a query around the query
-- 94:16: RC0609 adapted: Said in other words: x as the expression of that name in the same SELECT
-- 94:44: RC0609 adapted: Said in other words: x as the expression of that name in the same SELECT
-- 100:11: RC0605 adapted: Hint left out: LOCKING ROW FOR ACCESS
-- 101:11: RC0602 by hand: No counterpart on the target: LOCK TABLE
-- 102:39: RC0602 by hand: No counterpart on the target: the clause WITH after a statement
-- 106:38: RC0602 by hand: No counterpart on the target: the attribute NOT of a value
-- 108:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 108:35: RC0609 adapted: Said in other words: cut as on the source
-- 109:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 109:60: RC0609 adapted: Said in other words: cut as on the source
-- 114:1: RC0602 by hand: No counterpart on the target: a MERGE whose rows match by other than equal columns
-- 115:1: RC0623 check: Upsert with a difference: MERGE as an upsert; there must be a unique key on the columns by which rows match
-- 115:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 117:1: RC0502 adapted: Storage clauses left out: MULTISET
-- 117:1: RC0502 adapted: Storage clauses left out: NO FALLBACK
-- 117:1: RC0502 adapted: Storage clauses left out: PRIMARY INDEX
-- 117:1: RC0627 check: Said in other words, with a difference: left out: PARTITION BY RANGE_N (d BETWEEN DATE '2026-01-01' AND DATE '2026-12-31' EACH INTERVAL '1' MONTH)
-- 117:50: RC0502 adapted: Storage clauses left out: d: FORMAT 'YYYY-MM-DD'
-- 117:78: RC0502 adapted: Storage clauses left out: s: CHARACTER SET LATIN
-- 117:78: RC0502 adapted: Storage clauses left out: s: NOT CASESPECIFIC
-- 117:78: RC0502 adapted: Storage clauses left out: s: COMPRESS ('x')
-- 117:1: RC0409 check: Accents do not count on the target: s
-- 118:11: RC0604 adapted: Client command left out: COLLECT STATISTICS ON frame COLUMN ( a )
-- 119:20: RC0605 adapted: Hint left out: LOCKING ROW FOR ACCESS
