-- to: postgresql mariadb oracle
CREATE TABLE frame (
    id int AUTO_INCREMENT PRIMARY KEY,
    a int,
    b int,
    m decimal(19,4),
    s varchar(40),
    n varchar(40),
    d date,
    dt datetime(3),
    dt2 datetime(3),
    o datetime(6),
    g uuid,
    f tinyint(1),
    x varbinary(20),
    r float,
    fl double
);
SELECT COALESCE(s, 'abcdefghij') FROM frame;
SELECT COALESCE(a, CAST(TRUNCATE(1.5, 0) AS signed)) FROM frame;
SELECT CONCAT(s, COALESCE(n, '')) FROM frame;
SELECT CONCAT(s, CAST(a AS char(10))) FROM frame;
SELECT a + 1 FROM frame;
SELECT a DIV 2 FROM frame;
SELECT CAST(a AS decimal(65,30)) / 2.0 FROM frame;
SELECT CAST(m AS decimal(65,30)) / 3 FROM frame;
SELECT a % 4 FROM frame;
SELECT CHAR_LENGTH(RTRIM(s)) FROM frame;
SELECT LENGTH(s) FROM frame;
SELECT LENGTH(n) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT LOCATE('a', s, 3) FROM frame;
SELECT REGEXP_INSTR(s, '[0-9]') FROM frame;
SELECT CONCAT(LEFT(s, 2 - 1), 'xy', SUBSTRING(s, 2 + 3)) FROM frame;
SELECT CONCAT(CASE WHEN 5 - CHAR_LENGTH(RTRIM(s)) >= 0 THEN REPEAT('0', 5 - CHAR_LENGTH(RTRIM(s))) END, s)
FROM frame;
SELECT RIGHT(CONCAT('000', CAST(a AS char(3))), 3) FROM frame;
SELECT SUBSTR(s, 1, 2) FROM frame;
SELECT LEFT(s, a) FROM frame;
SELECT LPAD(CAST(CAST(fl AS decimal(38,2)) AS char), 8, ' ') FROM frame;
SELECT LEFT(DATE_FORMAT(dt, '%Y-%m-%d %H:%i:%s'), 10) FROM frame;
SELECT DATE_FORMAT(dt, '%d/%m/%Y') FROM frame;
SELECT DATE_FORMAT(dt, '%Y%m%d') FROM frame;
SELECT DATE(STR_TO_DATE('31/01/2026', '%d/%m/%Y')) FROM frame;
SELECT CAST(s AS signed) FROM frame;
-- RC0602 by hand: No counterpart on the target: CONVERT with the style 1
-- SELECT CONVERT(varchar(20), m, 1) FROM frame
SELECT CAST(a AS signed) FROM frame;
SELECT CASE WHEN s REGEXP '^ *[-+]?[0-9]+ *$' THEN CAST(s AS signed) END FROM frame;
-- RC0602 by hand: No counterpart on the target: a cast that gives NULL for what cannot be converted
-- SELECT TRY_CAST(s AS date) FROM frame
-- RC0602 by hand: No counterpart on the target: a date as a number
-- SELECT CAST(dt AS int) FROM frame
SELECT CAST(TRUNCATE(fl, 0) AS signed) FROM frame;
SELECT CAST(a AS char(30)) FROM frame;
SELECT TIMESTAMP '2026-01-31 00:00:00' FROM frame;
SELECT CAST(s AS char(5)) FROM frame;
SELECT DATE_ADD(dt, INTERVAL 7 DAY) FROM frame;
SELECT DATE_ADD(d, INTERVAL (-1) MONTH) FROM frame;
SELECT dt + INTERVAL 1 DAY FROM frame;
-- RC0602 by hand: No counterpart on the target: arithmetic with a date as a number
-- SELECT dt - 0.5 FROM frame
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT dt - dt2 FROM frame
SELECT DATEDIFF(CURRENT_TIMESTAMP(6), dt) FROM frame;
SELECT ((YEAR(dt) - YEAR(d)) * 12 + MONTH(dt) - MONTH(d)) FROM frame;
SELECT TIMESTAMPDIFF(HOUR, DATE_FORMAT(dt, '%Y-%m-%d %H:00:00'), DATE_FORMAT(dt2, '%Y-%m-%d %H:00:00'))
FROM frame;
SELECT (FLOOR(DATEDIFF(dt, '1899-12-31') / 7) - FLOOR(DATEDIFF(d, '1899-12-31') / 7)) FROM frame;
SELECT DAYOFWEEK(d) FROM frame;
SELECT WEEK(d, 3) FROM frame;
SELECT QUARTER(d) FROM frame;
SELECT MONTHNAME(d) FROM frame;
SELECT DAYNAME(d) FROM frame;
SELECT LAST_DAY(d) FROM frame;
SELECT LAST_DAY(DATE_ADD(d, INTERVAL 1 MONTH)) FROM frame;
SELECT CAST(CONCAT(2026, '-', a, '-', 1) AS DATE) FROM frame;
-- RC0602 by hand: No counterpart on the target: the function make_timestamp with 6 argument(s) has no counterpart in mariadb
-- SELECT DATETIMEFROMPARTS(2026, 1, 2, 3, 4, 5, 0) FROM frame
SELECT CAST(DATE_FORMAT(dt, '%Y-%m-01') AS DATETIME) FROM frame;
SELECT YEAR(dt) * 100 + MONTH(dt) FROM frame;
SELECT CAST(DATE(dt) AS DATETIME) FROM frame;
SELECT CAST(DATE_FORMAT(dt, '%Y-%m-01') AS DATETIME) FROM frame;
SELECT CAST(dt AS date) FROM frame;
SELECT DATE_FORMAT(dt, '%Y-%m-%d %H:%i') FROM frame;
SELECT FORMAT(a, 0) FROM frame;
-- RC0602 by hand: No counterpart on the target: the mask C
-- SELECT FORMAT(m, 'C') FROM frame
SELECT IF(a > b, s, n) FROM frame;
SELECT ELT(a, 'x', 'y', 'z') FROM frame;
SELECT COALESCE(a, b, 0) FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CASE f WHEN TRUE THEN 'y' ELSE 'n' END FROM frame;
SELECT CASE WHEN f = TRUE THEN 'y' END FROM frame;
SELECT UUID() FROM frame;
SELECT LAST_INSERT_ID() FROM frame;
SELECT ROW_COUNT() FROM frame;
SELECT LAST_INSERT_ID() FROM frame;
SELECT SUBSTRING_INDEX(CURRENT_USER(), '@', 1) FROM frame;
SELECT SUBSTRING_INDEX(USER(), '@', 1) FROM frame;
SELECT DATABASE() FROM frame;
-- RC0602 by hand: No counterpart on the target: the function object_id with 1 argument(s) has no counterpart in mariadb
-- SELECT OBJECT_ID('dbo.t') FROM frame
SELECT ROUND(a, -1) FROM frame;
SELECT ROUND(fl, 2) FROM frame;
SELECT TRUNCATE(m, 2) FROM frame;
SELECT CEIL(m) FROM frame;
SELECT a * a FROM frame;
SELECT LN(fl) FROM frame;
SELECT LOG(2, fl) FROM frame;
SELECT LOG10(fl) FROM frame;
SELECT POWER(a, 2) FROM frame;
SELECT TRUNCATE(POWER(2, 0.5), 0) FROM frame;
SELECT RAND() FROM frame;
SELECT SIGN(m) FROM frame;
SELECT ATAN2(a, b) FROM frame;
SELECT GROUP_CONCAT(s SEPARATOR ',') FROM frame;
SELECT GROUP_CONCAT(s ORDER BY s DESC SEPARATOR ',') FROM frame;
SELECT COUNT(*) FROM frame;
SELECT STDDEV_SAMP(CAST(a AS decimal(65,30))) FROM frame;
SELECT VAR_POP(CAST(a AS decimal(65,30))) FROM frame;
SELECT CHECKSUM(s) FROM frame;
SELECT UNHEX(SHA2(s, 256)) FROM frame;
SELECT REVERSE(s) FROM frame;
SELECT ORD(CONVERT(LEFT(n, 1) USING utf32)) FROM frame;
SELECT CHAR(a USING utf32) FROM frame;
SELECT CONCAT(CHAR(13 USING utf8mb4), CHAR(10 USING utf8mb4)) FROM frame;
SELECT CONCAT('`', REPLACE(s, '`', '``'), '`') FROM frame;
SELECT PARSENAME('a.b.c', 1) FROM frame;
SELECT SPACE(3) FROM frame;
SELECT LTRIM(RTRIM(s)) FROM frame;
SELECT TRIM(BOTH 'x' FROM s) FROM frame;
SELECT REPLACE(REPLACE(REPLACE(s, 'a', 'x'), 'b', 'y'), 'c', 'z') FROM frame;
SELECT CONCAT(COALESCE(s, ''), COALESCE(CAST(a AS char), ''), COALESCE(CAST(NULL AS char), ''))
FROM frame;
SELECT CONCAT_WS(',', s, NULL, n) FROM frame;
SELECT STRING_ESCAPE(s, 'json') FROM frame;
SELECT CASE JSON_TYPE(JSON_EXTRACT(s, '$.a.b')) WHEN 'STRING' THEN JSON_VALUE(s, '$.a.b') WHEN 'NULL' THEN NULL WHEN 'OBJECT' THEN NULL WHEN 'ARRAY' THEN NULL ELSE JSON_EXTRACT(s, '$.a.b') END
FROM frame;
SELECT JSON_EXTRACT(s, '$.a') FROM frame;
SELECT JSON_VALID(s) FROM frame;
SELECT JSON_SET(s, '$.a', 1) FROM frame;
SELECT CASE WHEN s REGEXP '^ *[-+]?([0-9]+[.]?[0-9]*|[.][0-9]+)([eE][-+]?[0-9]+)? *$' THEN 1 ELSE 0 END
FROM frame;
-- RC0602 by hand: No counterpart on the target: the function is_date with 1 argument(s) has no counterpart in mariadb
-- SELECT ISDATE(s) FROM frame
SELECT SOUNDEX(s) FROM frame;
SELECT DIFFERENCE(s, n) FROM frame;
SELECT s FROM frame;
SELECT CAST(~a AS SIGNED) FROM frame;
SELECT CAST(a & 3 AS SIGNED) FROM frame;
SELECT CAST(a ^ b AS SIGNED) FROM frame;
SELECT GREATEST(COALESCE(a, b), COALESCE(b, a)) FROM frame;
SELECT CASE WHEN s REGEXP '^[a-c]' THEN 1 END FROM frame;
SELECT CASE WHEN s REGEXP '^a[_]b' THEN 1 END FROM frame;
SELECT CASE WHEN s REGEXP '[^0-9]' THEN 1 END FROM frame;
DROP TABLE frame;
CREATE TABLE frame (
    id int AUTO_INCREMENT PRIMARY KEY,
    a int,
    b int,
    m decimal(19,4),
    s varchar(5),
    n varchar(40),
    d date,
    dt datetime(3),
    fl double,
    bt tinyint(1)
);
SELECT COALESCE(d, DATE '1900-01-01') FROM frame;
SELECT COALESCE(a, 0) FROM frame;
SELECT COALESCE(a, 0) FROM frame;
SELECT CASE WHEN a > 1 THEN a ELSE 0 END FROM frame;
SELECT IF(a > 1, a, 0) FROM frame;
SELECT COALESCE(bt, 0) FROM frame;
SELECT COALESCE(s, '0') FROM frame;
SELECT NULLIF(s, '') FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT a FROM frame WHERE d = DATE '1900-01-01';
SELECT a FROM frame WHERE d > DATE '2026-01-31';
SELECT a
FROM frame
WHERE dt BETWEEN TIMESTAMP '2026-01-01 00:00:00' AND TIMESTAMP '2026-01-31 23:59:59.997';
SELECT a FROM frame WHERE a = '5';
SELECT a FROM frame WHERE s = 5;
SELECT a FROM frame WHERE bt = TRUE;
SELECT a FROM frame WHERE bt = TRUE AND bt <> FALSE;
SELECT a FROM frame WHERE COALESCE(bt, 0) = FALSE;
UPDATE frame SET bt = (0 <> 1 - bt);
UPDATE frame SET bt = NOT bt;
UPDATE frame SET d = CURRENT_TIMESTAMP(6), dt = DATE_ADD(CURRENT_TIMESTAMP(6), INTERVAL 1 HOUR);
UPDATE frame SET a = NULL WHERE s IS NULL OR s = '';
SELECT a, s FROM frame ORDER BY a LIMIT 5;
SELECT a FROM frame ORDER BY a FETCH FIRST 5 ROWS WITH TIES;
-- RC0602 by hand: No counterpart on the target: a share of the rows, or rows WITH TIES cannot be said in mariadb
-- SELECT TOP 10 PERCENT a FROM frame ORDER BY a
SELECT a, SUM(b) AS total FROM frame GROUP BY a WITH ROLLUP;
SELECT a, s FROM frame WHERE a IN (SELECT b FROM frame);
SELECT x.a, y.s
FROM frame x
JOIN (
    SELECT s AS s, z.a AS key_1_, ROW_NUMBER() OVER (PARTITION BY z.a ORDER BY id DESC) AS row_
    FROM frame z
) y ON y.key_1_ = x.b AND y.row_ <= 1;
SELECT a, b, (SELECT (SELECT GROUP_CONCAT(s SEPARATOR ',') FROM frame x WHERE x.a = frame.a)) AS l
FROM frame;
SELECT *
FROM (
    SELECT a, SUM(CASE WHEN s = 'x' THEN b END) AS x, SUM(CASE WHEN s = 'y' THEN b END) AS y
    FROM (SELECT a, b, s FROM frame) p
    GROUP BY a
) q;
SELECT a, k, v
FROM (
    SELECT a, 'b' AS k, b AS v FROM (SELECT a, b, id FROM frame) p WHERE b IS NOT NULL
    UNION ALL
    SELECT a, 'id' AS k, id AS v FROM (SELECT a, b, id FROM frame) p WHERE id IS NOT NULL
) u;
-- RC0602 by hand: No counterpart on the target: a change of what a common table reads
-- WITH c AS (SELECT a, ROW_NUMBER() OVER (PARTITION BY s ORDER BY id) AS rn FROM frame) DELETE FROM c WHERE rn > 1
-- RC0602 by hand: No counterpart on the target: a change of what a common table reads
-- WITH c AS (SELECT a, b FROM frame WHERE s = 'x') UPDATE c SET a = b
DELETE FROM frame WHERE a = 1 LIMIT 10;
UPDATE frame SET a = 1 LIMIT 10;
INSERT INTO frame (a, b) VALUES (1, 2) RETURNING id;
-- RC0602 by hand: No counterpart on the target: the old values of the rows that an UPDATE changes
-- UPDATE frame SET a = a + 1 OUTPUT deleted.a, inserted.a WHERE id = 1
DELETE FROM frame WHERE id = 1 RETURNING *;
-- RC0602 by hand: No counterpart on the target: a MERGE that does not insert the columns by which rows match
-- MERGE frame AS x USING (VALUES (1, 'a'), (2, 'b')) AS y (id, s) ON x.id = y.id WHEN MATCHED THEN UPDATE SET s = y.s WHEN NOT MATCHED BY TARGET THEN INSERT (a, s) VALUES (y.id, y.s) WHEN NOT MATCHED BY SOURCE THEN DELETE
SELECT a FROM frame ORDER BY a LIMIT 5 OFFSET 10;
SELECT DISTINCT a, COUNT(*) OVER (PARTITION BY a) c FROM frame;
SELECT
    CASE WHEN (LAG(1, 1) OVER (ORDER BY id)) IS NULL THEN 0 ELSE LAG(a, 1) OVER (ORDER BY id) END,
    LAST_VALUE(a) OVER (ORDER BY id)
FROM frame;
SELECT a AS `Total Count`, 'x' AS label FROM frame `my frame`;
SELECT a + b AS total FROM frame;
-- RC0602 by hand: No counterpart on the target: a SELECT that assigns variables
-- SELECT @x = a FROM frame
SELECT a FROM frame WHERE s LIKE REPLACE(CONCAT('%', :p, '%'), '\\', '\\\\');
SELECT a FROM frame WHERE CONTAINS(s, 'word');
SELECT a FROM frame WHERE s = 'x';
SELECT a FROM frame WHERE EXISTS (SELECT a INTERSECT SELECT b);
SELECT COUNT(DISTINCT s), COUNT(a), MIN(s) FROM frame;
SELECT CASE WHEN EXISTS (SELECT 1 FROM frame WHERE a = 1) THEN 1 ELSE 0 END;
SELECT a FROM frame WHERE a IS NOT NULL AND CONCAT(s, 'x') = 'ax';
SELECT *
FROM frame x
LEFT JOIN frame y ON x.id = y.id;
-- RC0602 by hand: No counterpart on the target: texts split into rows
-- SELECT s, value FROM frame CROSS APPLY STRING_SPLIT(s, ',')
CREATE TEMPORARY TABLE `#tmp` AS
SELECT a FROM frame;
INSERT INTO frame (id) VALUES (DEFAULT);
INSERT INTO frame (a) SELECT b FROM frame;
TRUNCATE TABLE frame;
SELECT a FROM frame UNION SELECT b FROM frame ORDER BY 1;
SELECT id FROM frame WHERE dt >= TIMESTAMP '2026-01-31 00:00:00';
SELECT CONCAT(CAST(a AS char(3)), '-', CAST(dt AS char(20))) FROM frame;
SELECT CAST(m AS char(20)), CAST(fl AS char(20)), CAST(bt AS char(5)) FROM frame;
SELECT SUM(CAST(bt AS signed)) FROM frame;
SELECT MAX(CAST(bt AS signed)), COUNT(bt) FROM frame;
DROP TABLE frame;
CREATE TABLE frame (
    id int PRIMARY KEY,
    a int,
    bt tinyint(1),
    d date,
    s varchar(3)
);
CREATE TABLE x (
    id int PRIMARY KEY,
    b decimal(9,2),
    f double,
    dt datetime(3),
    n int,
    s varchar(30)
);
UPDATE frame
CROSS JOIN x
SET frame.a = CAST(TRUNCATE(x.b, 0) AS signed)
WHERE x.id = frame.id;
UPDATE frame
CROSS JOIN x
SET frame.a = CAST(TRUNCATE(x.f, 0) AS signed), frame.bt = (x.n <> 0), frame.d = x.dt
WHERE x.id = frame.id;
UPDATE frame y
CROSS JOIN x
SET y.a = CAST(TRUNCATE(x.b, 0) AS signed), y.bt = (x.n <> 0)
WHERE x.id = y.id;
INSERT INTO frame (id, a, bt, d) SELECT id, CAST(TRUNCATE(b, 0) AS signed), n <> 0, dt FROM x;
INSERT INTO frame (id, a, bt, d)
SELECT x.id, CAST(TRUNCATE(x.b, 0) AS signed), x.n <> 0, x.dt FROM x
ON DUPLICATE KEY UPDATE a = VALUES(a), bt = VALUES(bt);
INSERT INTO frame (id, a) VALUES (1, 2), (2, 3 DIV 2);
UPDATE frame SET a = 2, s = 'abcdef';
DROP TABLE frame;
CREATE TABLE frame (
    id int AUTO_INCREMENT PRIMARY KEY,
    a int,
    b int,
    m decimal(19,4),
    s varchar(40),
    d date,
    dt datetime(3),
    dt2 datetime(3),
    fl double
);
SELECT TIMESTAMPDIFF(HOUR, DATE_FORMAT(dt, '%Y-%m-%d %H:00:00'), DATE_FORMAT(dt2, '%Y-%m-%d %H:00:00')) DIV 2
FROM frame;
SELECT ((YEAR(dt) - YEAR(d)) * 12 + MONTH(dt) - MONTH(d)) DIV 12 FROM frame;
SELECT YEAR(dt) DIV 100 FROM frame;
SELECT MINUTE(dt) DIV 15 FROM frame;
SELECT CHAR_LENGTH(RTRIM(s)) DIV 2 FROM frame;
SELECT LOCATE('a', s) DIV 2 FROM frame;
SELECT COUNT(*) DIV 2 FROM frame;
SELECT SUM(a) DIV COUNT(*) FROM frame;
SELECT TRUNCATE(AVG(CAST(a AS decimal(65,30))), 0) FROM frame;
SELECT TRUNCATE(AVG(CAST(a AS decimal(65,30))) OVER (), 0) FROM frame;
SELECT SUM(a) DIV 2 FROM frame;
SELECT CEIL(CAST(a AS decimal(65,30)) / 2.0) FROM frame;
SELECT DAY(d) % 7 FROM frame;
SELECT DATEDIFF(dt, d) DIV 7 FROM frame;
SELECT FLOOR(fl) / 2 FROM frame;
SELECT ROUND(a) DIV 2 FROM frame;
SELECT ABS(a) DIV 2 FROM frame;
SELECT SIGN(a) DIV 2 FROM frame;
SELECT CASE WHEN a > 1 THEN a ELSE b END DIV 2 FROM frame;
SELECT COALESCE(a, 0) DIV 2 FROM frame;
SELECT COALESCE(a, 0) DIV 2 FROM frame;
SELECT (SELECT COUNT(*) FROM frame x) DIV 2 FROM frame;
SELECT (SELECT MAX(a) FROM frame x) DIV 2 FROM frame;
SELECT CAST(s AS signed) DIV 2 FROM frame;
SELECT (ROW_NUMBER() OVER (ORDER BY id)) DIV 2 FROM frame;
SELECT MAX(YEAR(dt)) DIV 2 FROM frame;
SELECT ((DAYOFYEAR(d) + DAYOFWEEK(MAKEDATE(YEAR(d), 1)) - 2) DIV 7 + 1) DIV 2 FROM frame;

-- findings
-- 2:148: RC0119 check: Numbers may lose digits: o: datetime(6): fractions of a second lose 1 digit(s)
-- 2:148: RC0114 check: Instant becomes date and time in UTC: o: datetime(6) in UTC
-- 2:1: RC0409 check: Accents do not count on the target: s, n
-- 3:8: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 4:18: RC0609 adapted: Said in other words: cut as on the source
-- 4:8: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 5:10: RC0609 adapted: Said in other words: + puts texts together
-- 5:12: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 6:10: RC0609 adapted: Said in other words: + puts texts together
-- 8:10: RC0615 adapted: Division kept: without a fraction
-- 9:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 10:10: RC0607 check: Function with a difference: if it is money, the source gives four digits behind the point
-- 10:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 13:8: RC0607 check: Function with a difference: octet_length: an NVARCHAR has two bytes for each character
-- 13:8: RC0608 adapted: Function spelled otherwise: DATALENGTH means octet_length
-- 14:8: RC0607 check: Function with a difference: octet_length: an NVARCHAR has two bytes for each character
-- 14:8: RC0608 adapted: Function spelled otherwise: DATALENGTH means octet_length
-- 15:8: RC0608 adapted: Function spelled otherwise: CHARINDEX means locate
-- 16:8: RC0608 adapted: Function spelled otherwise: CHARINDEX means locate
-- 18:8: RC0607 check: Function with a difference: a start beyond the end of the text gives NULL on the source
-- 19:35: RC0609 adapted: Said in other words: + puts texts together
-- 19:8: RC0609 adapted: Said in other words: repeat_or_null in other words
-- 20:20: RC0609 adapted: Said in other words: + puts texts together
-- 21:8: RC0609 adapted: Said in other words: a start before the first character
-- 23:8: RC0607 check: Function with a difference: number_in_width: a number that is too long is shown as asterisks on the source
-- 23:8: RC0609 adapted: Said in other words: number_in_width in other words
-- 29:1: RC0602 by hand: No counterpart on the target: CONVERT with the style 1
-- 31:8: RC0627 check: Said in other words, with a difference: NULL for what is no number; one that is too great for the type is refused
-- 32:1: RC0602 by hand: No counterpart on the target: a cast that gives NULL for what cannot be converted
-- 33:1: RC0602 by hand: No counterpart on the target: a date as a number
-- 34:8: RC0609 adapted: Said in other words: cut as on the source
-- 37:8: RC0617 check: Trailing blanks in comparisons: the cast fills a short text up with blanks on one engine only
-- 38:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_days
-- 39:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_months
-- 41:1: RC0602 by hand: No counterpart on the target: arithmetic with a date as a number
-- 42:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 43:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_days
-- 44:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_months
-- 45:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_hours
-- 46:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_weeks_from_sunday
-- 47:8: RC0607 check: Function with a difference: day_of_week_sunday_1: the source's first day of the week is taken for Sunday
-- 47:8: RC0608 adapted: Function spelled otherwise: DATEPART means day_of_week_sunday_1
-- 48:8: RC0608 adapted: Function spelled otherwise: DATEPART means extract_week
-- 49:8: RC0608 adapted: Function spelled otherwise: DATEPART means extract_quarter
-- 50:8: RC0608 adapted: Function spelled otherwise: DATENAME means month_name
-- 51:8: RC0608 adapted: Function spelled otherwise: DATENAME means day_name
-- 52:8: RC0608 adapted: Function spelled otherwise: EOMONTH means last_day
-- 53:8: RC0609 adapted: Said in other words: last_day_after in other words
-- 54:8: RC0608 adapted: Function spelled otherwise: DATEFROMPARTS means make_date
-- 55:1: RC0602 by hand: No counterpart on the target: the function make_timestamp with 6 argument(s) has no counterpart in mariadb
-- 56:8: RC0608 adapted: Function spelled otherwise: DATETRUNC means trunc_month
-- 61:19: RC0609 adapted: Said in other words: the mask yyyy-MM-dd HH:mm is %Y-%m-%d %H:%i
-- 63:1: RC0602 by hand: No counterpart on the target: the mask C
-- 68:20: RC0614 adapted: Condition made explicit: 1 beside a truth value
-- 69:22: RC0614 adapted: Condition made explicit: 1 beside a truth value
-- 70:8: RC0608 adapted: Function spelled otherwise: NEWID means new_uuid
-- 71:8: RC0607 check: Function with a difference: after an INSERT of several rows it is the first number on one engine and the last on the other
-- 71:8: RC0608 adapted: Function spelled otherwise: SCOPE_IDENTITY means last_identity
-- 74:8: RC0608 adapted: Function spelled otherwise: USER_NAME means current_user
-- 75:8: RC0608 adapted: Function spelled otherwise: SUSER_SNAME means system_user
-- 76:8: RC0608 adapted: Function spelled otherwise: DB_NAME means current_database
-- 77:1: RC0602 by hand: No counterpart on the target: the function object_id with 1 argument(s) has no counterpart in mariadb
-- 79:8: RC0607 check: Function with a difference: round_to: halves of floating-point numbers go to the even digit on the target, away from zero on the source
-- 80:8: RC0608 adapted: Function spelled otherwise: ROUND means truncate_to
-- 81:8: RC0608 adapted: Function spelled otherwise: CEILING means ceil
-- 82:8: RC0609 adapted: Said in other words: square in other words
-- 83:8: RC0608 adapted: Function spelled otherwise: LOG means ln
-- 87:8: RC0609 adapted: Said in other words: power_of_whole in other words
-- 88:8: RC0607 check: Function with a difference: random: the source gives one number for the whole query
-- 90:8: RC0608 adapted: Function spelled otherwise: ATN2 means atan2
-- 93:8: RC0608 adapted: Function spelled otherwise: COUNT_BIG means count_rows
-- 94:8: RC0608 adapted: Function spelled otherwise: STDEV means stddev_samp
-- 94:8: RC0615 adapted: Division kept: an average with all of its digits
-- 95:8: RC0608 adapted: Function spelled otherwise: VARP means var_pop
-- 95:8: RC0615 adapted: Division kept: an average with all of its digits
-- 96:8: RC0606 check: Function is not in the dictionary: CHECKSUM
-- 97:8: RC0607 check: Function with a difference: sha256_of: an NVARCHAR has other bytes, and letters beyond those of the code page differ
-- 97:8: RC0608 adapted: Function spelled otherwise: HASHBYTES means sha256_of
-- 100:8: RC0608 adapted: Function spelled otherwise: NCHAR means unicode_char
-- 101:17: RC0609 adapted: Said in other words: + puts texts together
-- 102:8: RC0608 adapted: Function spelled otherwise: QUOTENAME means quote_name
-- 103:8: RC0606 check: Function is not in the dictionary: PARSENAME
-- 107:8: RC0612 check: Comparison may ignore case on one engine: translate
-- 107:8: RC0609 adapted: Said in other words: translate in other words
-- 108:8: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 110:8: RC0606 check: Function is not in the dictionary: STRING_ESCAPE
-- 111:8: RC0608 adapted: Function spelled otherwise: JSON_VALUE means json_scalar_text
-- 112:8: RC0607 check: Function with a difference: json_get: the source gives NULL for a value that is neither object nor array
-- 112:8: RC0608 adapted: Function spelled otherwise: JSON_QUERY means json_get
-- 113:8: RC0607 check: Function with a difference: json_valid: true and false are 1 and 0 here, and only objects and arrays are taken for JSON
-- 113:8: RC0608 adapted: Function spelled otherwise: ISJSON means json_valid
-- 114:8: RC0608 adapted: Function spelled otherwise: JSON_MODIFY means json_set
-- 115:8: RC0607 check: Function with a difference: is_numeric: signs of currencies, commas, tabs and a sign alone are numbers on the source
-- 115:8: RC0609 adapted: Said in other words: is_numeric in other words
-- 116:1: RC0602 by hand: No counterpart on the target: the function is_date with 1 argument(s) has no counterpart in mariadb
-- 117:8: RC0607 check: Function with a difference: soundex: the length of the code is not limited to four characters
-- 118:8: RC0606 check: Function is not in the dictionary: DIFFERENCE
-- 119:10: RC0612 check: Comparison may ignore case on one engine: COLLATE Latin1_General_CS_AS left out
-- 123:8: RC0609 adapted: Said in other words: greatest_skip_nulls in other words
-- 124:20: RC0609 adapted: Said in other words: a LIKE pattern with brackets as a regular expression
-- 125:20: RC0609 adapted: Said in other words: a LIKE pattern with brackets as a regular expression
-- 126:20: RC0609 adapted: Said in other words: a LIKE pattern with brackets as a regular expression
-- 128:1: RC0409 check: Accents do not count on the target: s, n
-- 129:18: RC0609 adapted: Said in other words: an empty text is the first of January 1900 on the source
-- 129:8: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 130:18: RC0609 adapted: Said in other words: an empty text is 0 on the source
-- 130:8: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 131:20: RC0609 adapted: Said in other words: an empty text is 0 on the source
-- 132:36: RC0609 adapted: Said in other words: an empty text is 0 on the source
-- 133:22: RC0609 adapted: Said in other words: an empty text is 0 on the source
-- 134:8: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 135:8: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 137:18: RC0609 adapted: Said in other words: an empty text is 0 on the source
-- 138:31: RC0609 adapted: Said in other words: an empty text is the first of January 1900 on the source
-- 141:29: RC0625 check: Types compared as on the source: a text is compared with a number
-- 142:29: RC0625 check: Types compared as on the source: a text is compared with a number
-- 143:32: RC0614 adapted: Condition made explicit: true beside a truth value
-- 144:32: RC0614 adapted: Condition made explicit: 1 beside a truth value
-- 144:44: RC0614 adapted: Condition made explicit: 0 beside a truth value
-- 145:27: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 145:43: RC0614 adapted: Condition made explicit: 0 beside a truth value
-- 146:25: RC0614 adapted: Condition made explicit: a number for a truth value
-- 148:38: RC0608 adapted: Function spelled otherwise: DATEADD means add_hours
-- 152:1: RC0602 by hand: No counterpart on the target: a share of the rows, or rows WITH TIES cannot be said in mariadb
-- 154:24: RC0605 adapted: Hint left out: WITH ( NOLOCK )
-- 155:42: RC0609 adapted: Said in other words: a query that reads the rows before it, as a join
-- 156:40: RC0607 check: Function with a difference: FOR XML PATH: the source writes &, < and > of the texts as entities
-- 157:45: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 158:52: RC0609 adapted: Said in other words: UNPIVOT as a union
-- 159:1: RC0602 by hand: No counterpart on the target: a change of what a common table reads
-- 160:1: RC0602 by hand: No counterpart on the target: a change of what a common table reads
-- 164:1: RC0602 by hand: No counterpart on the target: the old values of the rows that an UPDATE changes
-- 166:1: RC0602 by hand: No counterpart on the target: a MERGE that does not insert the columns by which rows match
-- 169:8: RC0609 adapted: Said in other words: lag in other words
-- 172:8: RC0602 by hand: No counterpart on the target: a SELECT that assigns variables
-- 173:43: RC0609 adapted: Said in other words: + puts texts together
-- 173:29: RC0609 adapted: Said in other words: a backslash stands for itself, as on the source
-- 174:27: RC0606 check: Function is not in the dictionary: CONTAINS
-- 175:29: RC0612 check: Comparison may ignore case on one engine: COLLATE Latin1_General_BIN left out
-- 179:47: RC0609 adapted: Said in other words: + puts texts together
-- 180:67: RC0605 adapted: Hint left out: OPTION ( RECOMPILE )
-- 181:1: RC0602 by hand: No counterpart on the target: texts split into rows
-- 182:1: RC0609 adapted: Said in other words: SELECT INTO as CREATE TABLE AS
-- 183:1: RC0609 adapted: Said in other words: a row of defaults by the default of one column
-- 185:1: RC0604 adapted: Client command left out: SET IDENTITY_INSERT frame ON
-- 189:36: RC0609 adapted: Said in other words: + puts texts together
-- 189:38: RC0625 check: Types compared as on the source: engines spell dates and times in different ways
-- 190:8: RC0625 check: Types compared as on the source: if this is money, the source shows two digits behind the point, not four
-- 190:32: RC0625 check: Types compared as on the source: engines spell floating-point numbers in different ways
-- 190:57: RC0625 check: Types compared as on the source: engines spell truth values as texts in different ways
-- 194:1: RC0409 check: Accents do not count on the target: s
-- 195:1: RC0409 check: Accents do not count on the target: s
-- 196:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 196:22: RC0609 adapted: Said in other words: cut as on the source
-- 197:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 197:22: RC0609 adapted: Said in other words: cut as on the source
-- 197:32: RC0614 adapted: Condition made explicit: a number for a truth value
-- 198:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 198:20: RC0609 adapted: Said in other words: cut as on the source
-- 198:32: RC0614 adapted: Condition made explicit: a number for a truth value
-- 199:45: RC0609 adapted: Said in other words: cut as on the source
-- 199:48: RC0614 adapted: Condition made explicit: a number for a truth value
-- 200:73: RC0609 adapted: Said in other words: cut as on the source
-- 200:83: RC0614 adapted: Condition made explicit: a number for a truth value
-- 200:145: RC0609 adapted: Said in other words: cut as on the source
-- 200:150: RC0614 adapted: Condition made explicit: a number for a truth value
-- 200:1: RC0623 check: Upsert with a difference: MERGE as an upsert; there must be a unique key on the columns by which rows match
-- 200:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 201:50: RC0615 adapted: Division kept: without a fraction
-- 204:1: RC0409 check: Accents do not count on the target: s
-- 205:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_hours
-- 205:32: RC0615 adapted: Division kept: without a fraction
-- 206:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_months
-- 206:31: RC0615 adapted: Division kept: without a fraction
-- 207:8: RC0608 adapted: Function spelled otherwise: YEAR means extract_year
-- 207:17: RC0615 adapted: Division kept: without a fraction
-- 208:8: RC0608 adapted: Function spelled otherwise: DATEPART means extract_minute
-- 208:29: RC0615 adapted: Division kept: without a fraction
-- 209:15: RC0615 adapted: Division kept: without a fraction
-- 210:8: RC0608 adapted: Function spelled otherwise: CHARINDEX means locate
-- 210:26: RC0615 adapted: Division kept: without a fraction
-- 211:17: RC0615 adapted: Division kept: without a fraction
-- 212:15: RC0615 adapted: Division kept: without a fraction
-- 213:8: RC0615 adapted: Division kept: an average with all of its digits
-- 213:8: RC0615 adapted: Division kept: an average without its fraction
-- 214:8: RC0615 adapted: Division kept: an average with all of its digits
-- 214:8: RC0615 adapted: Division kept: an average without its fraction
-- 215:15: RC0615 adapted: Division kept: without a fraction
-- 216:18: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 216:8: RC0608 adapted: Function spelled otherwise: CEILING means ceil
-- 218:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_days
-- 218:29: RC0615 adapted: Division kept: without a fraction
-- 220:20: RC0615 adapted: Division kept: without a fraction
-- 221:15: RC0615 adapted: Division kept: without a fraction
-- 222:16: RC0615 adapted: Division kept: without a fraction
-- 223:42: RC0615 adapted: Division kept: without a fraction
-- 224:23: RC0615 adapted: Division kept: without a fraction
-- 225:8: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 225:21: RC0615 adapted: Division kept: without a fraction
-- 226:39: RC0615 adapted: Division kept: without a fraction
-- 227:37: RC0615 adapted: Division kept: without a fraction
-- 228:23: RC0615 adapted: Division kept: without a fraction
-- 229:40: RC0615 adapted: Division kept: without a fraction
-- 230:12: RC0608 adapted: Function spelled otherwise: YEAR means extract_year
-- 230:22: RC0615 adapted: Division kept: without a fraction
-- 231:8: RC0607 check: Function with a difference: week_from_january_1: the first day of the source's weeks is taken for Sunday
-- 231:8: RC0608 adapted: Function spelled otherwise: DATEPART means week_from_january_1
-- 231:26: RC0615 adapted: Division kept: without a fraction
