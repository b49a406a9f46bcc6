-- to: postgresql mariadb sqlserver
CREATE TABLE frame (
    id int AUTO_INCREMENT NOT NULL PRIMARY KEY,
    a int,
    b decimal(9,2),
    s varchar(40),
    c char(10),
    d date,
    tm time(0),
    ts datetime(6),
    f double,
    bo tinyint(1),
    cl longtext,
    x varbinary(20)
) COLLATE utf8mb4_bin;
SELECT d + INTERVAL 1 MONTH FROM frame;
SELECT d - INTERVAL 7 DAY FROM frame;
SELECT ts + INTERVAL 90 MINUTE FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT d - DATE('2026-01-01') FROM frame
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT ts - ts FROM frame
SELECT (TO_DAYS(d) - 365) - (TO_DAYS(DATE '2026-01-01') - 365) FROM frame;
SELECT (TO_DAYS(CURRENT_DATE) - 365) - (TO_DAYS(d) - 365) FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT YEAR(CURRENT DATE - d) FROM frame
SELECT TIMESTAMPDIFF(day, ts, ts) FROM frame;
SELECT LOCALTIMESTAMP(6) - INTERVAL 1 HOUR FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT CURRENT_TIME(6) FROM frame;
SELECT SUBSTRING_INDEX(CURRENT_USER(), '@', 1) FROM frame;
SELECT CAST(d AS CHAR) FROM frame;
SELECT DATE_FORMAT(d, '%Y-%m-%d') FROM frame;
SELECT CAST(a AS CHAR) FROM frame;
SELECT DIGITS(a) FROM frame;
SELECT CAST(a AS CHAR) FROM frame;
SELECT CAST(s AS decimal(9,2)) FROM frame;
SELECT CAST(a AS decimal(11,2)) FROM frame;
SELECT CAST(s AS signed) FROM frame;
SELECT CAST(TRUNCATE(b, 0) AS signed) FROM frame;
SELECT CAST(a AS signed) FROM frame;
SELECT CAST(s AS DOUBLE) FROM frame;
SELECT a DIV 2 FROM frame;
SELECT CAST(b AS decimal(65,30)) / 3 FROM frame;
SELECT CAST(a AS decimal(65,30)) / b FROM frame;
SELECT MOD(a, 3) FROM frame;
SELECT CONCAT(s, c) FROM frame;
SELECT CONCAT(s, c) FROM frame;
SELECT CHAR_LENGTH(c) FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT SUBSTR(s, 2, 3) FROM frame;
SELECT SUBSTR(s, 2) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT LOCATE('a', s, 3) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT TRIM(s) FROM frame;
SELECT TRIM(LEADING '0' FROM s) FROM frame;
SELECT TRIM(LEADING '0' FROM s) FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CASE WHEN a > 0 THEN 'p' ELSE 'n' END FROM frame;
SELECT ROUND(b, 1) FROM frame;
SELECT TRUNCATE(b, 1) FROM frame;
SELECT CAST(DATE_FORMAT(d, '%Y-%m-01') AS DATETIME) FROM frame;
SELECT RAND() FROM frame;
SELECT GROUP_CONCAT(s ORDER BY s SEPARATOR ', ') FROM frame;
-- RC0602 by hand: No counterpart on the target: XMLAGG
-- SELECT XMLAGG(XMLELEMENT(NAME e, s)) FROM frame
SELECT ROW_NUMBER() OVER (ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a) FROM frame;
SELECT DATE_FORMAT(ts, '%Y-%m-%d %H:%i:%s') FROM frame;
SELECT DATE_FORMAT(ts, '%Y%m%d') FROM frame;
SELECT DATE '2026-01-31' FROM frame;
SELECT TIMESTAMP '2026-01-31 00:00:00' FROM frame;
SELECT DAYOFWEEK(d) FROM frame;
SELECT (WEEKDAY(d) + 1) FROM frame;
SELECT WEEK(d, 3) FROM frame;
SELECT DAYOFYEAR(d) FROM frame;
SELECT QUARTER(d) FROM frame;
SELECT MONTHNAME(d) FROM frame;
SELECT DAYNAME(d) FROM frame;
SELECT LAST_DAY(d) FROM frame;
SELECT DATE_ADD(d, INTERVAL (CASE LOWER(LEFT('MON', 2)) WHEN 'su' THEN 1 WHEN 'mo' THEN 2 WHEN 'tu' THEN 3 WHEN 'we' THEN 4 WHEN 'th' THEN 5 WHEN 'fr' THEN 6 WHEN 'sa' THEN 7 END - DAYOFWEEK(d) + 6) % 7 + 1 DAY)
FROM frame;
SELECT DATE_ADD(d, INTERVAL 1 MONTH) FROM frame;
SELECT (PERIOD_DIFF(EXTRACT(YEAR_MONTH FROM d), EXTRACT(YEAR_MONTH FROM d)) + CASE WHEN DAYOFMONTH(d) = DAYOFMONTH(d) OR (DAYOFMONTH(d) = DAYOFMONTH(LAST_DAY(d)) AND DAYOFMONTH(d) = DAYOFMONTH(LAST_DAY(d))) THEN 0 ELSE CAST(DAYOFMONTH(d) - DAYOFMONTH(d) + (TIME_TO_SEC(TIME(d)) - TIME_TO_SEC(TIME(d))) / 86400.0000000000 AS DECIMAL(30, 15)) / 31 END)
FROM frame;
SELECT TRUNCATE(TIME_TO_SEC(tm), 0) FROM frame;
SELECT HEX(s) FROM frame;
SELECT REPLACE(REPLACE(REPLACE(s, 'a', 'A'), 'b', 'B'), 'c', 'C') FROM frame;
SELECT UPPER(s) FROM frame;
SELECT UPPER(s) FROM frame;
SELECT LOWER(s) FROM frame;
SELECT REPEAT('x', 3) FROM frame;
SELECT CONCAT(LEFT(s, 2 - 1), 'zz', SUBSTRING(s, 2 + 1)) FROM frame;
SELECT LEFT(s, 3) FROM frame;
SELECT RIGHT(c, 3) FROM frame;
SELECT LPAD(s, 8, '0') FROM frame;
SELECT CAST(NULL AS signed) FROM frame;
SELECT UNHEX(REPLACE(UUID(), '-', '')) FROM frame;
SELECT LAST_INSERT_ID() FROM frame;
SELECT NEXTVAL(sq) FROM frame;
SELECT LASTVAL(sq) FROM frame;
SELECT NEXTVAL(sq) FROM frame;
-- RC0602 by hand: No counterpart on the target: XMLSERIALIZE
-- SELECT XMLSERIALIZE(x AS clob) FROM frame
SELECT DATE(ts) FROM frame;
SELECT TIME(ts) FROM frame;
SELECT TIMESTAMP(d, tm) FROM frame;
SELECT TIMESTAMP '2026-01-31 10:20:30.000000' FROM frame;
SELECT MICROSECOND(ts) FROM frame;
SELECT SECOND(ts) FROM frame;
SELECT GREATEST(a, 5) FROM frame;
SELECT LEAST(a, 5) FROM frame;
SELECT SIGN(a) FROM frame;
SELECT CAST(a & 3 AS SIGNED) FROM frame;
SELECT (s REGEXP 'a.b') FROM frame;
SELECT NULLIF(REGEXP_SUBSTR(s, '[0-9]+'), '') FROM frame;
SELECT REGEXP_REPLACE(s, 'a', 'b') FROM frame;
SELECT CASE JSON_TYPE(JSON_EXTRACT(cl, '$.a')) WHEN 'STRING' THEN JSON_VALUE(cl, '$.a') WHEN 'NULL' THEN NULL WHEN 'OBJECT' THEN NULL WHEN 'ARRAY' THEN NULL ELSE JSON_EXTRACT(cl, '$.a') END
FROM frame;
SELECT * FROM frame LIMIT 5;
SELECT a, s FROM frame WHERE d = DATE '2026-01-31' OR d = DATE '2026-01-31';
SELECT a FROM frame WHERE c = 'abc';
SELECT a FROM frame WHERE c LIKE 'abc';
SELECT a FROM frame ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s;
INSERT INTO frame (a) VALUES (1) RETURNING a;
SELECT 1;
VALUES (1, 'a'), (2, 'b');
VALUES (CURRENT_DATE);
WITH RECURSIVE r (n) AS (
    SELECT 1
    UNION ALL
    SELECT n + 1 FROM r WHERE n < 5
)
SELECT n
FROM r;
SELECT a, COUNT(*) FROM frame GROUP BY a WITH ROLLUP;
SELECT a FROM frame EXCEPT ALL SELECT a FROM frame;
UPDATE frame
SET a = (SELECT a FROM frame x WHERE x.id = frame.id), s = (SELECT s FROM frame x WHERE x.id = frame.id);
UPDATE frame SET b = a, a = a + 1;
DELETE FROM frame WHERE id IN (SELECT * FROM (SELECT id FROM frame LIMIT 3) source_rows_);
-- RC0602 by hand: No counterpart on the target: a MERGE that does not insert the columns by which rows match
-- MERGE INTO frame USING (VALUES (1, 'x')) AS v (id, s) ON frame.id = v.id WHEN MATCHED THEN UPDATE SET s = v.s WHEN NOT MATCHED THEN INSERT (a, s) VALUES (v.id, v.s) ELSE IGNORE
INSERT INTO frame (a, d) VALUES (1, CURRENT_DATE), (2, DATE '2026-01-31' + INTERVAL 1 DAY);
SELECT a FROM frame;
SELECT a FROM frame;
SELECT a FROM frame FOR UPDATE;
SELECT a
FROM frame
LEFT JOIN (SELECT MAX(b) AS m, x.a AS key_1_ FROM frame x GROUP BY x.a) q ON q.key_1_ = frame.a;
SELECT frame.a
FROM frame
LEFT JOIN (SELECT MAX(b) AS m, x.a AS key_1_ FROM frame x GROUP BY x.a) q ON q.key_1_ = frame.a;
SELECT * FROM (SELECT * FROM frame WHERE RAND() * 100 < 10) frame;
SELECT a FROM frame LIMIT 5 OFFSET 2;
SELECT s FROM frame WHERE s IN ('a', 'b') AND a BETWEEN 1 AND 5;
SELECT CAST(CAST(a AS DECIMAL(65, 30)) AS decimal(65,30)) / 3 FROM frame;

-- findings
-- 2:168: RC0116 check: NaN and infinity are refused: f: double
-- 6:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 7:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 10:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 11:8: RC0607 check: Function with a difference: the source counts a month as 30 days and a year as 365
-- 16:8: RC0607 check: Function with a difference: text_of: the source fills the text up with blanks
-- 16:8: RC0608 adapted: Function spelled otherwise: CHAR means text_of
-- 1:1: RC0609 adapted: Said in other words: the mask YYYY-MM-DD is %Y-%m-%d
-- 18:8: RC0607 check: Function with a difference: text_of: the source fills the text up with blanks
-- 18:8: RC0608 adapted: Function spelled otherwise: CHAR means text_of
-- 19:8: RC0606 check: Function is not in the dictionary: DIGITS
-- 20:8: RC0608 adapted: Function spelled otherwise: VARCHAR means text_of
-- 24:8: RC0609 adapted: Said in other words: cut as on the source
-- 26:8: RC0608 adapted: Function spelled otherwise: DOUBLE means float_of
-- 27:10: RC0615 adapted: Division kept: without a fraction
-- 28:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 29:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 31:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 32:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 33:8: RC0607 check: Function with a difference: char_length: the source counts bytes where the text is one of OCTETS
-- 33:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 33:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 34:8: RC0607 check: Function with a difference: char_length: the source counts bytes where the text is one of OCTETS
-- 34:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 39:8: RC0608 adapted: Function spelled otherwise: POSSTR means locate
-- 40:8: RC0608 adapted: Function spelled otherwise: STRIP means trim
-- 44:8: RC0608 adapted: Function spelled otherwise: VALUE means coalesce
-- 51:8: RC0608 adapted: Function spelled otherwise: LISTAGG means string_agg
-- 52:38: RC0602 by hand: No counterpart on the target: XMLAGG
-- 53:36: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 54:20: RC0609 adapted: Said in other words: the mask YYYY-MM-DD HH24:MI:SS is %Y-%m-%d %H:%i:%s
-- 55:27: RC0609 adapted: Said in other words: the mask YYYYMMDD is %Y%m%d
-- 56:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 57:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31 00:00:00
-- 59:8: RC0608 adapted: Function spelled otherwise: DAYOFWEEK_ISO means extract_iso_day_of_week
-- 60:8: RC0608 adapted: Function spelled otherwise: WEEK_ISO means extract_week
-- 67:8: RC0607 check: Function with a difference: the last day of a month stays the last day
-- 71:8: RC0609 adapted: Said in other words: translate in other words
-- 73:8: RC0608 adapted: Function spelled otherwise: UCASE means upper
-- 74:8: RC0608 adapted: Function spelled otherwise: LCASE means lower
-- 78:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 81:8: RC0607 check: Function with a difference: uuid_bytes: 13 bytes on the source, in the order in which they are made
-- 81:8: RC0608 adapted: Function spelled otherwise: GENERATE_UNIQUE means uuid_bytes
-- 82:8: RC0607 check: Function with a difference: after an INSERT of several rows it is the first number on one engine and the last on the other
-- 82:8: RC0608 adapted: Function spelled otherwise: IDENTITY_VAL_LOCAL means last_identity
-- 86:20: RC0602 by hand: No counterpart on the target: XMLSERIALIZE
-- 93:8: RC0608 adapted: Function spelled otherwise: MAX means greatest
-- 94:8: RC0608 adapted: Function spelled otherwise: MIN means least
-- 96:8: RC0608 adapted: Function spelled otherwise: BITAND means bit_and
-- 98:8: RC0607 check: Function with a difference: regexp_substring: letters of four bytes become question marks on MariaDB 10
-- 99:8: RC0607 check: Function with a difference: regexp_replace_all: letters of four bytes become question marks on MariaDB 10
-- 100:8: RC0608 adapted: Function spelled otherwise: JSON_VALUE means json_scalar_text
-- 101:45: RC0605 adapted: Hint left out: WITH UR
-- 104:27: RC0617 check: Trailing blanks in comparisons: the pattern meets the blanks at the end of a column of fixed length on the source only
-- 105:30: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 113:27: RC0609 adapted: Said in other words: a query for each of the columns that it gives
-- 114:24: RC0609 adapted: Said in other words: columns in an order in which none is read after it was assigned
-- 116:1: RC0602 by hand: No counterpart on the target: a MERGE that does not insert the columns by which rows match
-- 118:21: RC0605 adapted: Hint left out: OPTIMIZE FOR 10 ROWS
-- 120:37: RC0605 adapted: Hint left out: WITH RS USE AND KEEP EXCLUSIVE LOCKS
-- 120:1: RC0609 adapted: Said in other words: a lock of all tables without their names
-- 121:22: RC0609 adapted: Said in other words: a query that reads the rows before it, as a join
-- 122:28: RC0609 adapted: Said in other words: a query that reads the rows before it, as a join
-- 123:15: RC0624 check: Sample drawn otherwise
-- 126:8: RC0608 adapted: Function spelled otherwise: DECFLOAT means number_of
-- 126:20: RC0615 adapted: Division kept: with more digits than the target gives by itself
