-- to: postgresql sqlserver
CREATE TABLE frame (
    id bigint IDENTITY(1,1) NOT NULL PRIMARY KEY,
    a int DEFAULT 0,
    b decimal(9,2),
    s nvarchar(40),
    good bit DEFAULT 1,
    d date,
    dt datetime2(0),
    ts datetimeoffset(0) DEFAULT SYSDATETIMEOFFSET(),
    e nvarchar(1) CHECK (e IN ('x', 'y')),
    j nvarchar(max),
    p int,
    CONSTRAINT u UNIQUE (s)
);
CREATE INDEX frame_a_idx ON frame (a);
CREATE TABLE x (
    id int PRIMARY KEY,
    t_id int,
    n int,
    s nvarchar(30),
    at datetime2(0)
);
-- RC0602 by hand: No counterpart on the target: SQL_CALC_FOUND_ROWS; count with a query of its own
-- SELECT SQL_CALC_FOUND_ROWS * FROM frame WHERE good LIMIT 10, 20
-- RC0602 by hand: No counterpart on the target: the function found_rows has no counterpart in sqlserver
-- SELECT FOUND_ROWS()
SELECT TOP 5 s, COUNT(*) AS c FROM frame GROUP BY s HAVING COUNT(*) > 1 ORDER BY c DESC;
SELECT YEAR(dt) AS y, MONTH(dt) AS m, SUM(b) FROM frame GROUP BY YEAR(dt), MONTH(dt) ORDER BY y, m;
SELECT FORMAT(dt, 'yyyy-MM') AS ym, COUNT(*) FROM frame GROUP BY FORMAT(dt, 'yyyy-MM');
SELECT * FROM frame WHERE a = 1;
SELECT frame.*, (SELECT COUNT(*) FROM x WHERE x.t_id = frame.id) cnt FROM frame ORDER BY cnt DESC;
-- RC0602 by hand: No counterpart on the target: different texts put together with a separator
-- SELECT frame.id, GROUP_CONCAT(DISTINCT x.s ORDER BY x.s SEPARATOR ', ') FROM frame LEFT JOIN x ON x.t_id = frame.id GROUP BY frame.id
SELECT * FROM frame ORDER BY CASE e WHEN 'y' THEN 1 WHEN 'x' THEN 2 ELSE 0 END, s;
SELECT * FROM frame WHERE s LIKE '%50\%%' ESCAPE '\';
-- RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- SELECT * FROM frame WHERE s REGEXP '^[a-z]+$'
SELECT * FROM frame WHERE dt > DATEADD(day, -7, GETDATE());
SELECT * FROM frame WHERE CAST(dt AS DATE) = CAST(GETDATE() AS DATE);
SELECT * FROM frame WHERE dt BETWEEN '2026-01-01' AND '2026-01-31 23:59:59';
SELECT * FROM frame WHERE id IN (1, 2, 3) AND NOT good = 1;
SELECT * FROM frame WHERE a = '5' OR s = 5;
SELECT * FROM frame WHERE e = 'x' OR e IS NULL;
SELECT IIF(good = 1, 'yes', 'no'), COALESCE(s, '-'), NULLIF(a, 0), COALESCE(a, b, 0) FROM frame;
SELECT
    a + b,
    ROUND(CAST(a AS decimal(38,20)) / NULLIF(b, 0), 4),
    a / 2,
    a % 3,
    -a,
    CASE WHEN NOT good = 1 THEN 1 WHEN NOT (NOT good = 1) THEN 0 END,
    (CAST(a AS bigint) * POWER(CAST(2 AS BIGINT), 1)),
    (a | 4),
    (a ^ 2)
FROM frame;
SELECT '#' + CAST(id AS nvarchar(max)) + ' ' + s, CONCAT_WS(', ', s, e) FROM frame;
SELECT
    LEFT(s, 3),
    RIGHT(s, 2),
    SUBSTRING(s, 1, CHARINDEX('-', s + '-') - 1),
    RIGHT(s, CHARINDEX(REVERSE('-'), REVERSE(s) + REVERSE('-')) - 1),
    RIGHT(REPLICATE('0', 6) + LEFT(id, 6), 6),
    REPLICATE('x', a),
    REVERSE(s),
    UPPER(s),
    DATALENGTH(CAST(s COLLATE Latin1_General_100_BIN2_UTF8 AS varchar(max))),
    LEN(s)
FROM frame;
SELECT
    (DATEDIFF(year, d, CAST(GETDATE() AS DATE)) - CASE WHEN d <= CAST(GETDATE() AS DATE) AND SUBSTRING(CONVERT(varchar(27), CAST(d AS datetime2), 126), 6, 22) > SUBSTRING(CONVERT(varchar(27), CAST(CAST(GETDATE() AS DATE) AS datetime2), 126), 6, 22) THEN 1 WHEN d > CAST(GETDATE() AS DATE) AND SUBSTRING(CONVERT(varchar(27), CAST(d AS datetime2), 126), 6, 22) < SUBSTRING(CONVERT(varchar(27), CAST(CAST(GETDATE() AS DATE) AS datetime2), 126), 6, 22) THEN -1 ELSE 0 END),
    DATEDIFF(day, d, dt),
    DATEADD(day, a, d),
    EOMONTH(d),
    (DATEDIFF(day, '19000107', d) % 7 + 1),
    (DATEDIFF(day, '19000101', d) % 7),
    DATEPART(quarter, d),
    (DATEDIFF_BIG(microsecond, '19700101', dt) * 0.000001),
    DATEADD(second, a, CAST('1970-01-01 00:00:00' AS DATETIME2))
FROM frame;
-- RC0602 by hand: No counterpart on the target: the function parse_timestamp with 2 argument(s) has no counterpart in sqlserver
-- SELECT STR_TO_DATE('31.01.2026', '%d.%m.%Y'), TIME(dt), DATE(dt), HOUR(dt), MAKETIME(1, 2, 3), SEC_TO_TIME(3600) FROM frame
-- RC0602 by hand: No counterpart on the target: the function json_object with 2 argument(s) has no counterpart in sqlserver
-- SELECT j->'$.a', j->>'$.a.b', JSON_EXTRACT(j, '$.c[0]'), JSON_UNQUOTE(JSON_EXTRACT(j, '$.d')), JSON_CONTAINS(j, '1', '$.a'), JSON_LENGTH(j), JSON_OBJECT('k', a), JSON_ARRAY(a, s) FROM frame
SELECT
    ROUND(b, 0),
    ROUND(b, 1),
    FLOOR(b),
    CEILING(b),
    ROUND(b, 1, 1),
    ABS(a),
    (a % 3),
    POWER(CAST(a AS float), 2),
    SQRT(a),
    RAND(CHECKSUM(NEWID())),
    CASE WHEN a >= 1 THEN a WHEN 1 > a THEN 1 END,
    CASE WHEN a <= b THEN a WHEN b < a THEN b END
FROM frame;
-- RC0602 by hand: No counterpart on the target: the function crc32 with 1 argument(s) has no counterpart in sqlserver
-- SELECT MD5(s), SHA1(s), SHA2(s, 256), HEX(s), UNHEX('41'), CRC32(s), UUID() FROM frame
-- RC0602 by hand: No counterpart on the target: the function text_of_bits with 1 argument(s) has no counterpart in sqlserver
-- SELECT INET_ATON('10.0.0.1'), INET_NTOA(1), BIN(a), OCT(a), CONV(a, 10, 16) FROM frame
SELECT
    CAST(s AS decimal(20,0)),
    CAST(s AS bigint),
    CAST(ROUND(b, 0) AS bigint),
    CAST(a AS nvarchar(max)),
    CAST(s AS decimal(9,2)),
    CAST(dt AS date),
    CAST(s AS decimal(20,0)),
    s
FROM frame;
-- RC0602 by hand: No counterpart on the target: the function bit_or_of_rows with 1 argument(s) has no counterpart in sqlserver
-- SELECT COUNT(*), COUNT(DISTINCT a), SUM(a > 1), AVG(a), MAX(s), MIN(dt), STD(a), BIT_OR(a) FROM frame
-- RC0602 by hand: No counterpart on the target: the session's variable @r
-- SELECT @r := @r + 1 AS rn, s FROM frame, (SELECT @r := 0) v
SELECT a, ROW_NUMBER() OVER (PARTITION BY s ORDER BY dt DESC) rn FROM frame;
-- RC0602 by hand: No counterpart on the target: DISTINCT in the order of b, which its rows do not have
-- SELECT DISTINCT a, s FROM frame ORDER BY b
SELECT frame.id
FROM frame
JOIN x ON frame.id = x.id
JOIN (SELECT 1 AS id) q ON frame.id = q.id;
SELECT *
FROM frame
JOIN x ON x.t_id = frame.id;
SELECT * FROM frame, x LEFT JOIN frame y ON y.id = x.t_id WHERE frame.id = x.id;
SELECT * FROM (SELECT TOP 3 id FROM frame ORDER BY id) part_
UNION
SELECT id FROM x
ORDER BY id DESC;
SELECT CASE WHEN EXISTS (SELECT 1 FROM frame WHERE a = 1) THEN 1 ELSE 0 END AS found;
SELECT * FROM frame WHERE a = 1 AND s = 'x' OR a = 2 AND s = 'y';
SELECT * FROM frame WITH (UPDLOCK, ROWLOCK);
SELECT * FROM frame WITH (HOLDLOCK, ROWLOCK);
SELECT a FROM frame GROUP BY ROLLUP (a);
SELECT s, MIN(b) AS b FROM frame GROUP BY s;
SELECT id, s AS name FROM frame WHERE name = 'x';
SELECT MAX(a) AS m FROM frame HAVING MAX(a) > 3;
MERGE INTO frame
USING (
    SELECT 1 AS a, 'x' AS s
    UNION ALL
    SELECT 2 AS a, 'y' AS s
) new_rows_
ON frame.s = new_rows_.s
WHEN MATCHED THEN UPDATE SET a = new_rows_.a, b = frame.b + 1
WHEN NOT MATCHED THEN INSERT (a, s) VALUES (new_rows_.a, new_rows_.s);
INSERT INTO frame (a, s) VALUES (1, 'z');
MERGE INTO frame
USING (SELECT s AS s FROM x) new_rows_
ON frame.s = new_rows_.s
WHEN NOT MATCHED THEN INSERT (s) VALUES (new_rows_.s);
INSERT INTO frame DEFAULT VALUES;
INSERT INTO frame (s) VALUES ('q'), ('r'), ('w');
SET IDENTITY_INSERT frame ON;
MERGE INTO frame
USING (SELECT 1 AS id, 'x' AS s) new_rows_
ON frame.id = new_rows_.id
WHEN MATCHED THEN UPDATE SET s = new_rows_.s, a = DEFAULT, b = DEFAULT, good = DEFAULT, d = DEFAULT, dt = DEFAULT, ts = DEFAULT, e = DEFAULT, j = DEFAULT, p = DEFAULT
WHEN NOT MATCHED THEN INSERT (id, s) VALUES (new_rows_.id, new_rows_.s);
SET IDENTITY_INSERT frame OFF;
UPDATE frame SET a = a + 1, b = a + 1 WHERE id = 1;
-- RC0602 by hand: No counterpart on the target: ORDER BY in a change cannot be said in sqlserver
-- UPDATE frame SET s = REPLACE(s, 'a', 'b'), dt = NOW() ORDER BY id LIMIT 10
-- RC0602 by hand: No counterpart on the target: an UPDATE that changes several tables
-- UPDATE frame JOIN x ON x.t_id = frame.id SET frame.a = x.n, x.s = frame.s
UPDATE frame SET a = x.n FROM x WHERE x.t_id = frame.id AND x.n > 0;
UPDATE frame
SET a = q.sn
FROM (SELECT t_id, SUM(CAST(n AS bigint)) AS sn FROM x GROUP BY t_id) q
WHERE q.t_id = frame.id;
UPDATE frame SET j = JSON_MODIFY(j, '$.a', 1);
UPDATE frame SET good = CASE WHEN NOT good = 1 THEN 1 WHEN NOT (NOT good = 1) THEN 0 END;
-- RC0602 by hand: No counterpart on the target: ORDER BY in a change cannot be said in sqlserver
-- DELETE FROM frame WHERE a < 0 ORDER BY id LIMIT 5
DELETE FROM frame WHERE EXISTS (SELECT 1 FROM x WHERE x.t_id = frame.id AND x.n = 0);
-- RC0602 by hand: No counterpart on the target: a DELETE from several tables
-- DELETE frame, x FROM frame INNER JOIN x ON x.t_id = frame.id
DELETE frame FROM frame
LEFT JOIN x ON x.t_id = frame.id
WHERE x.id IS NULL;
TRUNCATE TABLE frame;
ALTER TABLE frame ADD z int DEFAULT 0 NOT NULL;
ALTER TABLE frame DROP CONSTRAINT u;
ALTER TABLE frame ALTER COLUMN s nvarchar(100) NOT NULL;
EXEC sp_rename 'frame.b', 'c', 'COLUMN';
ALTER TABLE frame ALTER COLUMN c decimal(10,2);
ALTER TABLE frame ADD CONSTRAINT uu UNIQUE (z);
EXEC sp_rename 'frame', 't2';
CREATE INDEX i ON x (s, n DESC);
CREATE OR ALTER VIEW v AS
SELECT id, s FROM x WHERE n > 0
WITH CHECK OPTION;
DROP TABLE IF EXISTS x;
-- RC0602 by hand: No counterpart on the target: SHOW
-- SHOW TABLES
EXEC p 1, 'x';
BEGIN TRANSACTION;

-- findings
-- 2:21: RC0117 adapted: Wider type: id: BIGINT for an identity of unsigned numbers
-- 2:122: RC0102 check: One-digit number becomes a boolean: good: tinyint(1) as BIT
-- 2:170: RC0627 check: Said in other words, with a difference: ON UPDATE of ts is left out; write a trigger that assigns it
-- 2:238: RC0120 adapted: Enumeration becomes a text: e as a text with a check
-- 2:279: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 4:28: RC0602 by hand: No counterpart on the target: SQL_CALC_FOUND_ROWS; count with a query of its own
-- 5:1: RC0602 by hand: No counterpart on the target: the function found_rows has no counterpart in sqlserver
-- 7:8: RC0608 adapted: Function spelled otherwise: YEAR means extract_year
-- 7:20: RC0608 adapted: Function spelled otherwise: MONTH means extract_month
-- 7:60: RC0609 adapted: Said in other words: the expression for its alias in GROUP BY
-- 7:63: RC0609 adapted: Said in other words: the expression for its alias in GROUP BY
-- 8:24: RC0609 adapted: Said in other words: the mask %Y-%m is yyyy-MM
-- 8:66: RC0609 adapted: Said in other words: the expression for its alias in GROUP BY
-- 9:21: RC0605 adapted: Hint left out: USE INDEX ( a )
-- 11:1: RC0602 by hand: No counterpart on the target: different texts put together with a separator
-- 12:30: RC0609 adapted: Said in other words: index_of_text in other words
-- 13:29: RC0609 adapted: Said in other words: a backslash escapes, as on the source
-- 14:1: RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- 18:51: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 19:29: RC0625 check: Types compared as on the source: a text is compared with a number
-- 19:40: RC0625 check: Types compared as on the source: a text is compared with a number
-- 21:11: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 21:31: RC0608 adapted: Function spelled otherwise: IFNULL means coalesce
-- 22:17: RC0615 adapted: Division kept: NULL for a division by zero
-- 22:17: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 22:17: RC0615 adapted: Division kept: rounded as on the source
-- 22:43: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 22:42: RC0614 adapted: Condition made explicit: a condition as a value
-- 22:51: RC0607 check: Function with a difference: a number below zero is shifted with its sign on one engine only
-- 24:33: RC0609 adapted: Said in other words: substring_before in other words
-- 24:61: RC0609 adapted: Said in other words: substring_before in other words
-- 24:136: RC0608 adapted: Function spelled otherwise: UCASE means upper
-- 24:146: RC0608 adapted: Function spelled otherwise: LENGTH means octet_length
-- 24:90: RC0607 check: Function with a difference: lpad_with: the fill should be one character
-- 24:108: RC0607 check: Function with a difference: repeat: a negative count gives NULL
-- 24:157: RC0607 check: Function with a difference: char_length: trailing blanks do not count
-- 25:8: RC0608 adapted: Function spelled otherwise: TIMESTAMPDIFF means full_years
-- 25:43: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_days
-- 25:102: RC0608 adapted: Function spelled otherwise: DAYOFWEEK means day_of_week_sunday_1
-- 25:116: RC0608 adapted: Function spelled otherwise: WEEKDAY means day_of_week_monday_0
-- 25:128: RC0608 adapted: Function spelled otherwise: QUARTER means extract_quarter
-- 25:140: RC0607 check: Function with a difference: extract_epoch: the source counts from 1970 in UTC by the zone of its session
-- 25:140: RC0608 adapted: Function spelled otherwise: UNIX_TIMESTAMP means extract_epoch
-- 25:160: RC0608 adapted: Function spelled otherwise: FROM_UNIXTIME means timestamp_of_epoch
-- 25:160: RC0607 check: Function with a difference: timestamp_of_epoch: fractions of seconds are cut off; by the clock of UTC, on the source by that of the session's zone
-- 26:1: RC0602 by hand: No counterpart on the target: the function parse_timestamp with 2 argument(s) has no counterpart in sqlserver
-- 27:1: RC0602 by hand: No counterpart on the target: the function json_object with 2 argument(s) has no counterpart in sqlserver
-- 28:96: RC0607 check: Function with a difference: sqrt: a negative number gives NULL on the source
-- 28:113: RC0609 adapted: Said in other words: greatest in other words
-- 28:129: RC0609 adapted: Said in other words: least in other words
-- 29:1: RC0602 by hand: No counterpart on the target: the function crc32 with 1 argument(s) has no counterpart in sqlserver
-- 30:1: RC0602 by hand: No counterpart on the target: the function text_of_bits with 1 argument(s) has no counterpart in sqlserver
-- 31:8: RC0625 check: Types compared as on the source: a text that is no number is 0 or its beginning on the source and refused on the target
-- 31:8: RC0625 check: Types compared as on the source: a whole number below zero becomes a great one on the source
-- 31:29: RC0625 check: Types compared as on the source: a text that is no number is 0 or its beginning on the source and refused on the target
-- 31:48: RC0609 adapted: Said in other words: rounded as on the source
-- 31:84: RC0625 check: Types compared as on the source: a text that is no number is 0 or its beginning on the source and refused on the target
-- 31:127: RC0625 check: Types compared as on the source: a text that is no number is 0 or its beginning on the source and refused on the target
-- 31:127: RC0625 check: Types compared as on the source: a whole number below zero becomes a great one on the source
-- 32:1: RC0602 by hand: No counterpart on the target: the function bit_or_of_rows with 1 argument(s) has no counterpart in sqlserver
-- 33:1: RC0602 by hand: No counterpart on the target: the session's variable @r
-- 35:1: RC0602 by hand: No counterpart on the target: DISTINCT in the order of b, which its rows do not have
-- 36:28: RC0609 adapted: Said in other words: a join by names of columns with its condition
-- 36:46: RC0609 adapted: Said in other words: a join by names of columns with its condition
-- 40:8: RC0614 adapted: Condition made explicit: a condition as a value
-- 41:34: RC0609 adapted: Said in other words: rows compared value by value
-- 42:1: RC0609 adapted: Said in other words: FOR UPDATE as locks of the tables
-- 43:1: RC0609 adapted: Said in other words: FOR SHARE as locks of the tables
-- 45:11: RC0622 check: Columns that are not grouped: the least b
-- 48:1: RC0609 adapted: Said in other words: an upsert as MERGE
-- 50:1: RC0623 check: Upsert with a difference: IGNORE also passes over other errors
-- 50:1: RC0609 adapted: Said in other words: an upsert as MERGE
-- 52:27: RC0609 adapted: Said in other words: the next number of the column as its default
-- 53:1: RC0623 check: Upsert with a difference: REPLACE deletes the old row first: rows that refer to it go or keep it, triggers of DELETE run, and columns that are not named get their defaults
-- 53:1: RC0623 check: Upsert with a difference: the source looks at all keys of the table, the target at (id)
-- 53:1: RC0609 adapted: Said in other words: an upsert as MERGE
-- 53:1: RC0609 adapted: Said in other words: rows are allowed to bring numbers with them
-- 54:24: RC0609 adapted: Said in other words: the new value of a column that was assigned before, where it is read
-- 55:1: RC0602 by hand: No counterpart on the target: ORDER BY in a change cannot be said in sqlserver
-- 56:1: RC0602 by hand: No counterpart on the target: an UPDATE that changes several tables
-- 58:29: RC0609 adapted: Said in other words: a sum of whole numbers with 64 bits
-- 60:29: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 60:25: RC0614 adapted: Condition made explicit: a condition as a value
-- 61:1: RC0602 by hand: No counterpart on the target: ORDER BY in a change cannot be said in sqlserver
-- 62:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 63:1: RC0602 by hand: No counterpart on the target: a DELETE from several tables
-- 66:30: RC0609 adapted: Said in other words: 0 for the rows that are there, as on the source
-- 66:1: RC0627 check: Said in other words, with a difference: z stands elsewhere among the columns, which SELECT * shows
-- 67:1: RC0403 adapted: Index on the beginning of a column: the whole column
-- 69:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
-- 70:1: RC0604 adapted: Client command left out: SET NAMES utf8mb4
-- 71:1: RC0604 adapted: Client command left out: LOCK TABLES x WRITE
-- 72:1: RC0602 by hand: No counterpart on the target: SHOW
