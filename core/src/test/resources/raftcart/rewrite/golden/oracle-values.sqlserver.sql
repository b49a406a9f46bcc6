-- to: postgresql mariadb sqlserver
CREATE TABLE frame (
    id bigint PRIMARY KEY,
    a int,
    b decimal(9,2),
    n decimal(38,10),
    s nvarchar(40) COLLATE Latin1_General_100_BIN2,
    c nchar(3) COLLATE Latin1_General_100_BIN2,
    d datetime2(0),
    ts datetime2(6),
    tz datetimeoffset(6),
    x varbinary(16),
    cl nvarchar(max) COLLATE Latin1_General_100_BIN2
);
SELECT COALESCE(s, 'x') FROM frame;
SELECT COALESCE(a, 0) FROM frame;
SELECT COALESCE(n, 0) FROM frame;
SELECT CASE WHEN s IS NOT NULL THEN 'y' ELSE 'n' END FROM frame;
SELECT CASE a WHEN 1 THEN 'one' WHEN 2 THEN 'two' ELSE 'many' END FROM frame;
SELECT CASE WHEN s IS NULL THEN 'none' ELSE s END FROM frame;
SELECT COALESCE(CAST(a AS nvarchar(max)), '') + '/' + COALESCE(s, '') FROM frame;
SELECT CAST(a AS NVARCHAR(MAX)) FROM frame;
SELECT FORMAT(b, '#,##0.00') FROM frame;
-- RC0602 by hand: No counterpart on the target: the mask 999,990.00
-- SELECT TO_CHAR(b, '999,990.00') FROM frame
-- RC0602 by hand: No counterpart on the target: the mask 00000
-- SELECT TO_CHAR(a, '00000') FROM frame
SELECT FORMAT(d, 'dd-MMM-yyyy') FROM frame;
SELECT FORMAT(d, 'dddd') FROM frame;
-- RC0602 by hand: No counterpart on the target: the field D of a mask
-- SELECT TO_CHAR(d, 'D') FROM frame
-- RC0602 by hand: No counterpart on the target: the field DDD of a mask
-- SELECT TO_CHAR(d, 'DDD') FROM frame
-- RC0602 by hand: No counterpart on the target: the field WW of a mask
-- SELECT TO_CHAR(d, 'WW') FROM frame
-- RC0602 by hand: No counterpart on the target: the field J of a mask
-- SELECT TO_CHAR(d, 'J') FROM frame
-- RC0602 by hand: No counterpart on the target: the field SSSSS of a mask
-- SELECT TO_CHAR(d, 'SSSSS') FROM frame
-- RC0602 by hand: No counterpart on the target: the field Q of a mask
-- SELECT TO_CHAR(d, 'Q') FROM frame
-- RC0602 by hand: No counterpart on the target: the field RM of a mask
-- SELECT TO_CHAR(d, 'RM') FROM frame
SELECT FORMAT(ts, 'HH:mm:ss.fff') FROM frame;
-- RC0602 by hand: No counterpart on the target: the field IW of a mask
-- SELECT TO_CHAR(d, 'YYYY"-W"IW') FROM frame
SELECT CAST(s AS DECIMAL(38, 10)) FROM frame;
-- RC0602 by hand: No counterpart on the target: the function parse_number with 2 argument(s) has no counterpart in sqlserver
-- SELECT TO_NUMBER(s, '9999.99') FROM frame
SELECT CAST('2026-01-31' AS date) FROM frame;
SELECT CAST(s AS datetime2(0)) FROM frame;
SELECT CAST('2026-01-31 22:15:00' AS datetime2(0)) FROM frame;
SELECT CAST(s AS datetime2(6)) FROM frame;
SELECT CAST(CAST(d AS DATE) AS DATETIME2) FROM frame;
SELECT DATEADD(month, DATEDIFF(month, 0, d), 0) FROM frame;
SELECT DATEADD(day, -(DATEDIFF(day, '19000101', d) % 7), CAST(CAST(d AS DATE) AS DATETIME2))
FROM frame;
SELECT TRUNC(d, 'D') FROM frame;
SELECT DATEADD(day, -1, CAST(CAST(SYSDATETIME() AS DATE) AS DATETIME2)) FROM frame;
-- RC0602 by hand: No counterpart on the target: round of a date
-- SELECT ROUND(d) FROM frame
SELECT ROUND(d, 'MONTH') FROM frame;
SELECT DATEADD(day, 1, d) FROM frame;
SELECT DATEADD(hour, 1, d) FROM frame;
SELECT ((DATEDIFF_BIG(microsecond, '19700101', d) * 0.000001) - (DATEDIFF_BIG(microsecond, '19700101', SYSDATETIME()) * 0.000001)) / 86400
FROM frame;
SELECT ((DATEDIFF_BIG(microsecond, '19700101', SYSDATETIME()) * 0.000001) - (DATEDIFF_BIG(microsecond, '19700101', d) * 0.000001)) / 86400 * 24 * 60
FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of timestamps, which is an interval
-- SELECT ts - ts FROM frame
SELECT DATEADD(hour, -1, ts) FROM frame;
SELECT (DATEDIFF(second, ts, ts) / 86400) FROM frame;
SELECT DATEADD(minute, 5, d) FROM frame;
SELECT DATEADD(month, -12, d) FROM frame;
SELECT (DATEDIFF(month, d, SYSDATETIME()) + CASE WHEN DAY(SYSDATETIME()) = DAY(d) OR (DAY(SYSDATETIME()) = DAY(EOMONTH(SYSDATETIME())) AND DAY(d) = DAY(EOMONTH(d))) THEN 0 ELSE (DAY(SYSDATETIME()) - DAY(d) + (DATEDIFF(second, CAST(SYSDATETIME() AS date), SYSDATETIME()) - DATEDIFF(second, CAST(d AS date), d)) / CAST(86400 AS float)) / 31 END)
FROM frame;
SELECT FLOOR(CAST((DATEDIFF(month, d, SYSDATETIME()) + CASE WHEN DAY(SYSDATETIME()) = DAY(d) OR (DAY(SYSDATETIME()) = DAY(EOMONTH(SYSDATETIME())) AND DAY(d) = DAY(EOMONTH(d))) THEN 0 ELSE (DAY(SYSDATETIME()) - DAY(d) + (DATEDIFF(second, CAST(SYSDATETIME() AS date), SYSDATETIME()) - DATEDIFF(second, CAST(d AS date), d)) / CAST(86400 AS float)) / 31 END) AS decimal(38,20)) / 12)
FROM frame;
SELECT EOMONTH(d) FROM frame;
SELECT DATEADD(day, (CASE LOWER(LEFT('MONDAY', 2)) WHEN 'su' THEN 0 WHEN 'mo' THEN 1 WHEN 'tu' THEN 2 WHEN 'we' THEN 3 WHEN 'th' THEN 4 WHEN 'fr' THEN 5 WHEN 'sa' THEN 6 END - DATEDIFF(day, '1899-12-31', d) % 7 + 6) % 7 + 1, d)
FROM frame;
SELECT YEAR(d) FROM frame;
SELECT SYSDATETIMEOFFSET() FROM frame;
SELECT SYSDATETIME() FROM frame;
SELECT CAST(a AS DECIMAL(38, 10)) / 4 FROM frame;
SELECT CAST(a AS decimal(38,20)) / b FROM frame;
SELECT (a % 7) FROM frame;
SELECT REMAINDER(a, 7) FROM frame;
SELECT POWER(CAST(a AS float), 2) FROM frame;
SELECT ROUND(b, 0) FROM frame;
SELECT ROUND(b, 0, 1) FROM frame;
SELECT ROUND(n, -2, 1) FROM frame;
SELECT CEILING(n) FROM frame;
SELECT CASE WHEN a IS NOT NULL AND b IS NOT NULL THEN GREATEST(a, b, 0) END FROM frame;
SELECT CASE WHEN s <= 'm' THEN s WHEN 'm' < s THEN 'm' END FROM frame;
SELECT CHARINDEX('a', s) FROM frame;
SELECT CASE
    WHEN CHARINDEX(REVERSE('a'), REVERSE(s)) = 0 THEN 0
    ELSE LEN(s) - CHARINDEX(REVERSE('a'), REVERSE(s)) - LEN('a') + 2
END
FROM frame;
SELECT CHARINDEX('a', s, CHARINDEX('a', s) + 1) FROM frame;
SELECT CASE WHEN LEN(s) >= 3 THEN RIGHT(s, 3) ELSE NULL END FROM frame;
SELECT SUBSTRING(s, 1, 3) FROM frame;
SELECT NULLIF(SUBSTRING(s, CHARINDEX('-', s) + 1, LEN(s)), '') FROM frame;
SELECT LEN(s) FROM frame;
SELECT DATALENGTH(CAST(s COLLATE Latin1_General_100_BIN2_UTF8 AS varchar(max))) FROM frame;
SELECT RIGHT(REPLICATE('0', 8) + LEFT(a, 8), 8) FROM frame;
SELECT LEFT(s + REPLICATE(' ', 10), 10) FROM frame;
SELECT NULLIF(LTRIM(s, '0'), '') FROM frame;
SELECT NULLIF(TRIM(s), '') FROM frame;
SELECT NULLIF(REPLACE(s, 'a', ''), '') FROM frame;
SELECT TRANSLATE(s, 'abc', 'xyz') FROM frame;
-- RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in sqlserver
-- SELECT INITCAP(s) FROM frame
-- RC0602 by hand: No counterpart on the target: the function regexp_substring_nth with 4 argument(s) has no counterpart in sqlserver
-- SELECT REGEXP_SUBSTR(s, '[^,]+', 1, 2) FROM frame
-- RC0602 by hand: No counterpart on the target: the function regexp_replace_all with 3 argument(s) has no counterpart in sqlserver
-- SELECT REGEXP_REPLACE(s, '[^0-9]', '') FROM frame
-- RC0602 by hand: No counterpart on the target: the function regexp_count with 2 argument(s) has no counterpart in sqlserver
-- SELECT REGEXP_COUNT(s, 'a') FROM frame
-- RC0602 by hand: No counterpart on the target: the function regexp_position with 2 argument(s) has no counterpart in sqlserver
-- SELECT REGEXP_INSTR(s, 'a') FROM frame
SELECT CHAR(10) FROM frame;
SELECT ASCII(s) FROM frame;
SELECT SOUNDEX(s) FROM frame;
SELECT CONVERT(VARCHAR(MAX), x, 2) FROM frame;
SELECT CONVERT(VARBINARY(MAX), 'ff', 2) FROM frame;
SELECT CAST(NEWID() AS varbinary(16)) FROM frame;
SELECT CURRENT_USER FROM frame;
SELECT UID FROM frame;
-- RC0602 by hand: No counterpart on the target: the function connection_id has no counterpart in sqlserver
-- SELECT USERENV('SESSIONID') FROM frame
SELECT SYS_CONTEXT('USERENV', 'IP_ADDRESS') FROM frame;
SELECT ROW_NUMBER() OVER (ORDER BY (SELECT NULL)) FROM frame;
-- RC0602 by hand: No counterpart on the target: the column ROWID, a row's address
-- SELECT ROWID FROM frame
SELECT ORA_HASH(s) FROM frame;
SELECT VSIZE(s) FROM frame;
SELECT DUMP(s) FROM frame;
SELECT NANVL(n, 0) FROM frame;
SELECT CASE WHEN a > 1 THEN 1 ELSE 0 END = 0 FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CAST(a AS nvarchar(10)) FROM frame;
SELECT CAST(d AS datetime2(6)) FROM frame;
SELECT CAST(DATEADD(nanosecond, -DATEPART(nanosecond, ts), ts) AS datetime2(0)) FROM frame;
SELECT CAST(s AS decimal(38,10)) FROM frame;
SELECT CAST(b AS decimal(5,0)) FROM frame;
SELECT COUNT(*) FROM frame;
SELECT STRING_AGG(s, ',') WITHIN GROUP (ORDER BY s) FROM frame;
-- RC0602 by hand: No counterpart on the target: different texts put together with a separator
-- SELECT LISTAGG(DISTINCT s, ',') WITHIN GROUP (ORDER BY s) FROM frame
SELECT MAX(CASE WHEN rank_1_ = 1 THEN s END)
FROM (
    SELECT
        frame.*,
        DENSE_RANK() OVER (ORDER BY CASE WHEN d IS NULL THEN 0 ELSE 1 END, d DESC) AS rank_1_
    FROM frame
) frame;
SELECT CAST(a AS float) / NULLIF(SUM(CAST(a AS bigint)) OVER (), 0) FROM frame;
SELECT STDEV(a) FROM frame;
-- RC0602 by hand: No counterpart on the target: MEDIAN of groups, not over a window
-- SELECT MEDIAN(a) FROM frame
-- RC0602 by hand: No counterpart on the target: the function mode_of with 1 argument(s) has no counterpart in sqlserver
-- SELECT STATS_MODE(a) FROM frame
SELECT STRING_AGG(s, ',') FROM frame;
SELECT XMLTYPE(cl) FROM frame;
SELECT CASE c WHEN 'Y' THEN 1 ELSE 0 END FROM frame;
SELECT NEXT VALUE FOR sq FROM frame;
-- RC0602 by hand: No counterpart on the target: the last number of a sequence cannot be said in sqlserver
-- SELECT sq.CURRVAL FROM frame
DROP TABLE frame;
CREATE TABLE frame (
    id bigint PRIMARY KEY,
    a int,
    b decimal(9,2),
    n decimal(38,10),
    s nvarchar(40) COLLATE Latin1_General_100_BIN2,
    c nchar(3) COLLATE Latin1_General_100_BIN2,
    d datetime2(0),
    ts datetime2(6),
    p bigint
);
SELECT a FROM frame WHERE s = NULL;
SELECT a FROM frame WHERE s <> 'x';
SELECT a FROM frame WHERE COALESCE(s, NULL) = NULL;
SELECT a FROM frame WHERE s IS NULL;
SELECT a FROM frame WHERE d = '2026-01-31';
SELECT a FROM frame WHERE d BETWEEN '2026-01-01' AND SYSDATETIME();
SELECT a
FROM frame
WHERE CAST(CAST(d AS DATE) AS DATETIME2) = CAST(CAST(SYSDATETIME() AS DATE) AS DATETIME2);
SELECT TOP 10 a FROM frame;
SELECT a FROM (SELECT TOP 1 * FROM frame) frame ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a;
SELECT *
FROM (
    SELECT a, ROW_NUMBER() OVER (ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a) AS rn
    FROM (SELECT TOP 20 a FROM frame ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a) t_132_41
) t_132_15
WHERE rn > 10;
SELECT x.a, y.s
FROM frame x
LEFT JOIN frame y ON x.id = y.p AND y.a = 5;
WITH tree_ AS (
    SELECT
        frame.*,
        1 AS depth_,
        CAST('/' + COALESCE(frame.s, '') AS nvarchar(4000)) AS path_1_,
        CAST(CAST(1000000000 + frame.sibling_ AS nvarchar(10)) AS nvarchar(4000)) AS place_2_
    FROM (
        SELECT frame.*, ROW_NUMBER() OVER (ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s) AS sibling_
        FROM frame
    ) frame
    WHERE p IS NULL
    UNION ALL
    SELECT
        frame.*,
        tree_.depth_ + 1,
        CAST(tree_.path_1_ + ('/' + COALESCE(frame.s, '')) AS nvarchar(4000)),
        CAST(tree_.place_2_ + CAST(1000000000 + frame.sibling_ AS nvarchar(10)) AS nvarchar(4000))
    FROM (
        SELECT frame.*, ROW_NUMBER() OVER (ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s) AS sibling_
        FROM frame
    ) frame
    JOIN tree_ ON tree_.id = frame.p
)
SELECT depth_ AS level, id, path_1_
FROM tree_ frame
ORDER BY CASE WHEN place_2_ IS NULL THEN 1 ELSE 0 END, place_2_;
WITH tree_ (depth_) AS (
    SELECT 1 AS depth_
    UNION ALL
    SELECT depth_ + 1 FROM tree_ WHERE depth_ + 1 <= 10
)
SELECT depth_ AS level
FROM tree_;
WITH tree_ (depth_) AS (
    SELECT 1 AS depth_
    UNION ALL
    SELECT depth_ + 1 FROM tree_ WHERE depth_ + 1 <= 31
)
SELECT DATEADD(day, -1, DATEADD(day, depth_, CAST('2026-01-01' AS date)))
FROM tree_;
WITH tree_ AS (
    SELECT frame.*, 1 AS depth_, frame.id AS root_1_ FROM frame frame
    UNION ALL
    SELECT frame.*, tree_.depth_ + 1, tree_.root_1_
    FROM frame frame
    JOIN tree_ ON tree_.id = frame.p
)
SELECT root_1_, id
FROM tree_ frame;
SELECT a FROM frame
EXCEPT
SELECT b FROM frame;
SELECT a, COUNT(*) FROM frame GROUP BY CUBE (a);
SELECT *
FROM (
    SELECT
        id,
        a,
        n,
        s,
        d,
        ts,
        p,
        SUM(CASE WHEN c = 'A' THEN b END) AS a1,
        SUM(CASE WHEN c = 'B' THEN b END) AS b1
    FROM frame
    GROUP BY id, a, n, s, d, ts, p
) pivoted_;
SELECT a, s
FROM (
    SELECT id, a, s, c, d, ts, p, 'b' AS k, b AS v FROM frame WHERE b IS NOT NULL
    UNION ALL
    SELECT id, a, s, c, d, ts, p, 'n' AS k, n AS v FROM frame WHERE n IS NOT NULL
) unpivoted_;
SELECT a FROM frame;
-- RC0602 by hand: No counterpart on the target: a query on rows of another time
-- SELECT a FROM frame AS OF TIMESTAMP (SYSTIMESTAMP - INTERVAL '1' HOUR)
SELECT a FROM frame WITH (UPDLOCK, ROWLOCK, NOWAIT);
SELECT a FROM frame WITH (UPDLOCK, ROWLOCK, READPAST);
SELECT a FROM (SELECT * FROM frame WHERE RAND(CHECKSUM(NEWID())) * 100 < 10) frame;
SELECT a FROM frame ORDER BY s;
SELECT a FROM frame ORDER BY CASE WHEN s IS NULL THEN 0 ELSE 1 END, s DESC;
SELECT a FROM frame ORDER BY (SELECT NULL) OFFSET 5 ROWS FETCH NEXT 5 ROWS ONLY;
SELECT DISTINCT a FROM frame;
SELECT frame.*, ROW_NUMBER() OVER (ORDER BY (SELECT NULL)) FROM frame;
-- RC0602 by hand: No counterpart on the target: SELECT INTO variables
-- SELECT COUNT(*) INTO x FROM frame
SELECT a
FROM frame
WHERE EXISTS (
    SELECT 1
    FROM (SELECT a, s FROM frame) found_ (column_1_, column_2_)
    WHERE found_.column_1_ = a AND found_.column_2_ = s
);
SELECT a FROM frame WHERE CASE WHEN a IN (1, 2, 3) THEN 1 WHEN NOT a IN (1, 2, 3) THEN 0 END;
SELECT a FROM frame WHERE a NOT IN (SELECT p FROM frame);
SELECT a FROM frame WHERE EXISTS (SELECT NULL);
-- RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- SELECT a FROM frame WHERE REGEXP_LIKE(s, '^a', 'i')
SELECT a FROM frame WHERE s LIKE 'a\_%' ESCAPE '\';
-- RC0602 by hand: No counterpart on the target: a table of another database
-- SELECT a FROM frame@remote
SELECT column_value
FROM (
    SELECT 1
    UNION ALL
    SELECT 2
    UNION ALL
    SELECT 3
) list_ (column_value);
SELECT a FROM frame WHERE d > DATEADD(day, -7, SYSDATETIME());
SELECT a FROM frame WHERE d > DATEADD(day, -7, SYSDATETIME());
INSERT INTO frame (id, a) VALUES (NEXT VALUE FOR sq, 1);
INSERT INTO frame (id, a) VALUES (1, 2);
INSERT INTO frame (id, a) VALUES (3, 4);
INSERT INTO frame (id, d) VALUES (1, SYSDATETIME());
INSERT INTO frame (id, s) VALUES (1, NULL);
INSERT INTO frame SELECT * FROM frame;
UPDATE frame SET s = NULL WHERE id = 1;
UPDATE frame
SET a = (SELECT a FROM frame x WHERE x.id = frame.p), b = (SELECT b FROM frame x WHERE x.id = frame.p)
WHERE EXISTS (SELECT 1 FROM frame x WHERE x.id = frame.p);
UPDATE x SET a = CAST(y.b AS decimal(10,0)) FROM frame x, frame y WHERE x.id = y.p;
-- RC0602 by hand: No counterpart on the target: RETURNING INTO variables
-- UPDATE frame SET a = a + 1 RETURNING a INTO :x
DELETE FROM frame WHERE a = 1;
DELETE TOP (99) FROM frame;
-- RC0602 by hand: No counterpart on the target: the column ROWID, a row's address
-- DELETE FROM frame x WHERE x.ROWID > (SELECT MIN(y.ROWID) FROM frame y WHERE x.s = y.s)
MERGE INTO frame x
USING (SELECT 1 AS id, 'a' AS s) y
ON x.id = y.id
WHEN MATCHED AND x.a = 0 THEN DELETE
WHEN MATCHED THEN UPDATE SET s = y.s
WHEN NOT MATCHED AND y.id > 0 THEN INSERT (id, s) VALUES (y.id, y.s);
TRUNCATE TABLE frame;
SELECT LEN(s), SUBSTRING(s, 1, 10) FROM frame;
SELECT
    a,
    LAG(a) OVER (ORDER BY CASE WHEN d IS NULL THEN 1 ELSE 0 END, d),
    SUM(b) OVER (PARTITION BY c ORDER BY CASE WHEN d IS NULL THEN 1 ELSE 0 END, d)
FROM frame;
-- RC0602 by hand: No counterpart on the target: IGNORE NULLS cannot be said in sqlserver
-- SELECT LAST_VALUE(s IGNORE NULLS) OVER (ORDER BY d) FROM frame
-- RC0602 by hand: No counterpart on the target: a frame of a RANGE with a distance
-- SELECT a, SUM(b) OVER (ORDER BY d RANGE BETWEEN INTERVAL '7' DAY PRECEDING AND CURRENT ROW) FROM frame
SELECT a FROM frame WHERE s = :p AND d >= :from_date;
SELECT 'it''s', 'it''s';
SELECT a FROM frame x WHERE a = (SELECT MAX(a) FROM frame WHERE c = x.c);
WITH q AS (SELECT a FROM frame) SELECT * FROM q;
-- RC0602 by hand: No counterpart on the target: CURSOR
-- SELECT CURSOR(SELECT 1 FROM dual) FROM frame
SELECT a, CASE WHEN s = 'x' THEN NULL ELSE s END FROM frame;
SELECT COALESCE(s, '') + 'x' FROM frame;
SELECT LEN(NULL);
SELECT ((DATEDIFF_BIG(microsecond, '19700101', MAX(d)) * 0.000001) - (DATEDIFF_BIG(microsecond, '19700101', MIN(d)) * 0.000001)) / 86400
FROM frame;
SELECT AVG(CAST(a AS decimal(38,20))), CAST(SUM(CAST(a AS bigint)) AS DECIMAL(38, 10)) / COUNT(*)
FROM frame;
SELECT SUM(CASE WHEN c = 'Y' THEN 1 END) FROM frame;
SELECT COUNT(DISTINCT s), COUNT(s) FROM frame;
SELECT a FROM frame GROUP BY a HAVING COUNT(*) > 1 ORDER BY COUNT(*) DESC;

-- findings
-- 2:76: RC0110 check: Number without precision is bounded: n: number without precision as DECIMAL(38,10)
-- 3:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 4:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 5:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 6:8: RC0609 adapted: Said in other words: if_null_else in other words
-- 7:8: RC0609 adapted: Said in other words: decode in other words
-- 8:8: RC0609 adapted: Said in other words: decode in other words
-- 9:8: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 10:8: RC0608 adapted: Function spelled otherwise: TO_CHAR means text_of
-- 11:8: RC0620 check: Format mask with a difference: a number with more digits than the mask is # on the source
-- 11:8: RC0609 adapted: Said in other words: the mask FM999G990D00 is #,##0.00
-- 12:1: RC0602 by hand: No counterpart on the target: the mask 999,990.00
-- 13:1: RC0602 by hand: No counterpart on the target: the mask 00000
-- 14:8: RC0620 check: Format mask with a difference: names of days and months can differ in language, case and padding
-- 14:19: RC0609 adapted: Said in other words: the mask DD-MON-YYYY is dd-MMM-yyyy
-- 15:8: RC0620 check: Format mask with a difference: names of days and months can differ in language, case and padding
-- 15:19: RC0609 adapted: Said in other words: the mask Day is dddd
-- 16:1: RC0602 by hand: No counterpart on the target: the field D of a mask
-- 17:1: RC0602 by hand: No counterpart on the target: the field DDD of a mask
-- 18:1: RC0602 by hand: No counterpart on the target: the field WW of a mask
-- 19:1: RC0602 by hand: No counterpart on the target: the field J of a mask
-- 20:1: RC0602 by hand: No counterpart on the target: the field SSSSS of a mask
-- 21:1: RC0602 by hand: No counterpart on the target: the field Q of a mask
-- 22:1: RC0602 by hand: No counterpart on the target: the field RM of a mask
-- 23:20: RC0609 adapted: Said in other words: the mask HH24:MI:SS.FF3 is HH:mm:ss.fff
-- 24:1: RC0602 by hand: No counterpart on the target: the field IW of a mask
-- 25:8: RC0608 adapted: Function spelled otherwise: TO_NUMBER means number_of
-- 25:8: RC0607 check: Function with a difference: number_of: more than ten digits behind the point are cut off
-- 26:1: RC0602 by hand: No counterpart on the target: the function parse_number with 2 argument(s) has no counterpart in sqlserver
-- 27:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 28:8: RC0609 adapted: Said in other words: the text is read without the mask
-- 29:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31 22:15:00
-- 30:8: RC0609 adapted: Said in other words: the text is read without the mask
-- 33:8: RC0609 adapted: Said in other words: trunc_week in other words
-- 34:8: RC0606 check: Function is not in the dictionary: TRUNC with these 2 argument(s)
-- 35:23: RC0609 adapted: Said in other words: days added to a date
-- 36:1: RC0602 by hand: No counterpart on the target: round of a date
-- 37:8: RC0606 check: Function is not in the dictionary: ROUND with these 2 argument(s)
-- 38:10: RC0609 adapted: Said in other words: days added to a date
-- 39:13: RC0615 adapted: Division kept: with its fraction
-- 39:10: RC0609 adapted: Said in other words: days added to a date
-- 42:1: RC0602 by hand: No counterpart on the target: a difference of timestamps, which is an interval
-- 46:8: RC0607 check: Function with a difference: add_months: the last day of a month stays the last day, and fractions of seconds are cut off
-- 48:41: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 49:8: RC0607 check: Function with a difference: last_day: the source keeps the time of day
-- 54:10: RC0615 adapted: Division kept: with its fraction
-- 55:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 57:8: RC0606 check: Function is not in the dictionary: REMAINDER
-- 63:8: RC0609 adapted: Said in other words: greatest in other words
-- 64:8: RC0609 adapted: Said in other words: least in other words
-- 65:8: RC0608 adapted: Function spelled otherwise: INSTR means locate
-- 66:8: RC0609 adapted: Said in other words: a search from the end in the text turned round
-- 66:8: RC0607 check: Function with a difference: char_length: trailing blanks do not count
-- 67:8: RC0609 adapted: Said in other words: locate_nth in other words
-- 68:8: RC0609 adapted: Said in other words: a start from the end as RIGHT
-- 68:8: RC0607 check: Function with a difference: char_length: trailing blanks do not count
-- 69:8: RC0609 adapted: Said in other words: a start before the first character
-- 70:18: RC0608 adapted: Function spelled otherwise: INSTR means locate
-- 70:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 71:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 71:8: RC0607 check: Function with a difference: char_length: trailing blanks do not count
-- 72:8: RC0608 adapted: Function spelled otherwise: LENGTHB means octet_length
-- 73:8: RC0607 check: Function with a difference: lpad_with: the fill should be one character
-- 74:8: RC0609 adapted: Said in other words: rpad in other words
-- 75:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 76:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 77:8: RC0608 adapted: Function spelled otherwise: REPLACE means remove
-- 77:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 79:1: RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in sqlserver
-- 80:1: RC0602 by hand: No counterpart on the target: the function regexp_substring_nth with 4 argument(s) has no counterpart in sqlserver
-- 81:1: RC0602 by hand: No counterpart on the target: the function regexp_replace_all with 3 argument(s) has no counterpart in sqlserver
-- 82:1: RC0602 by hand: No counterpart on the target: the function regexp_count with 2 argument(s) has no counterpart in sqlserver
-- 83:1: RC0602 by hand: No counterpart on the target: the function regexp_position with 2 argument(s) has no counterpart in sqlserver
-- 84:8: RC0608 adapted: Function spelled otherwise: CHR means char_of
-- 87:8: RC0608 adapted: Function spelled otherwise: RAWTOHEX means hex_of_bytes
-- 88:8: RC0608 adapted: Function spelled otherwise: HEXTORAW means bytes_of_hex
-- 89:8: RC0608 adapted: Function spelled otherwise: SYS_GUID means uuid_bytes
-- 91:8: RC0606 check: Function is not in the dictionary: UID
-- 92:1: RC0602 by hand: No counterpart on the target: the function connection_id has no counterpart in sqlserver
-- 93:8: RC0606 check: Function is not in the dictionary: SYS_CONTEXT with these 2 argument(s)
-- 94:8: RC0627 check: Said in other words, with a difference: ROWNUM as ROW_NUMBER(): rows are counted as they come
-- 95:1: RC0602 by hand: No counterpart on the target: the column ROWID, a row's address
-- 96:8: RC0606 check: Function is not in the dictionary: ORA_HASH
-- 97:8: RC0606 check: Function is not in the dictionary: VSIZE
-- 98:8: RC0606 check: Function is not in the dictionary: DUMP
-- 99:8: RC0606 check: Function is not in the dictionary: NANVL
-- 100:8: RC0609 adapted: Said in other words: not_matching in other words
-- 105:13: RC0625 check: Types compared as on the source: the second without its fraction, as newer versions of the source make it
-- 109:8: RC0608 adapted: Function spelled otherwise: LISTAGG means string_agg
-- 110:1: RC0602 by hand: No counterpart on the target: different texts put together with a separator
-- 111:1: RC0609 adapted: Said in other words: KEEP by the rank of the rows in a query below
-- 111:46: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 112:8: RC0609 adapted: Said in other words: the share as a value divided by the sum
-- 112:8: RC0608 adapted: Function spelled otherwise: RATIO_TO_REPORT means sum
-- 112:8: RC0609 adapted: Said in other words: a sum of whole numbers with 64 bits
-- 113:8: RC0607 check: Function with a difference: stddev_samp: one row alone gives 0 on the source, and NULL on the target
-- 114:1: RC0602 by hand: No counterpart on the target: MEDIAN of groups, not over a window
-- 115:1: RC0602 by hand: No counterpart on the target: the function mode_of with 1 argument(s) has no counterpart in sqlserver
-- 116:8: RC0608 adapted: Function spelled otherwise: WM_CONCAT means string_agg
-- 117:8: RC0606 check: Function is not in the dictionary: XMLTYPE
-- 120:1: RC0602 by hand: No counterpart on the target: the last number of a sequence cannot be said in sqlserver
-- 122:76: RC0110 check: Number without precision is bounded: n: number without precision as DECIMAL(38,10)
-- 123:31: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 125:34: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 125:27: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 125:40: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 127:31: RC0625 check: Types compared as on the source: '31-JAN-26' as a date or time: 2026-01-31
-- 130:1: RC0609 adapted: Said in other words: ROWNUM as a limit
-- 131:1: RC0609 adapted: Said in other words: ROWNUM as a limit before rows are grouped and sorted
-- 131:47: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 132:16: RC0609 adapted: Said in other words: ROWNUM as a limit
-- 132:26: RC0609 adapted: Said in other words: ROWNUM as ROW_NUMBER() in the order of the rows
-- 132:71: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 132:41: RC0609 adapted: Said in other words: a name for the query in FROM
-- 132:15: RC0609 adapted: Said in other words: a name for the query in FROM
-- 133:1: RC0609 adapted: Said in other words: (+) as LEFT JOIN
-- 134:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 134:121: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 134:19: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 1:1: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 135:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 136:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 136:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-01
-- 136:44: RC0609 adapted: Said in other words: days added to a date
-- 136:52: RC0609 adapted: Said in other words: days added to a date
-- 137:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 137:1: RC0627 check: Said in other words, with a difference: the rows come in no particular order, not depth first
-- 140:21: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 141:24: RC0609 adapted: Said in other words: UNPIVOT as a union
-- 142:8: RC0605 adapted: Hint left out: /*+ INDEX(frame i1) */
-- 143:21: RC0602 by hand: No counterpart on the target: a query on rows of another time
-- 144:1: RC0609 adapted: Said in other words: FOR UPDATE as locks of the tables
-- 145:1: RC0609 adapted: Said in other words: FOR UPDATE as locks of the tables
-- 146:15: RC0624 check: Sample drawn otherwise
-- 148:30: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 151:17: RC0627 check: Said in other words, with a difference: ROWNUM as ROW_NUMBER(): rows are counted as they come
-- 152:17: RC0602 by hand: No counterpart on the target: SELECT INTO variables
-- 153:34: RC0609 adapted: Said in other words: rows looked for in a query, with EXISTS
-- 154:29: RC0609 adapted: Said in other words: a comparison with any of some values
-- 154:29: RC0614 adapted: Condition made explicit: a condition as a value
-- 157:1: RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- 159:20: RC0602 by hand: No counterpart on the target: a table of another database
-- 161:39: RC0609 adapted: Said in other words: days added to a date
-- 164:1: RC0609 adapted: Said in other words: INSERT ALL as one INSERT for each table
-- 166:38: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 168:22: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 169:27: RC0609 adapted: Said in other words: a query for each of the columns that it gives
-- 170:1: RC0609 adapted: Said in other words: an UPDATE of the tables that the query reads
-- 171:40: RC0602 by hand: No counterpart on the target: RETURNING INTO variables
-- 174:1: RC0602 by hand: No counterpart on the target: the column ROWID, a row's address
-- 176:1: RC0502 adapted: Storage clauses left out: DROP STORAGE
-- 177:8: RC0608 adapted: Function spelled otherwise: DBMS_LOB.GETLENGTH means char_length
-- 177:8: RC0607 check: Function with a difference: char_length: trailing blanks do not count
-- 178:33: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 178:74: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 179:1: RC0602 by hand: No counterpart on the target: IGNORE NULLS cannot be said in sqlserver
-- 180:1: RC0602 by hand: No counterpart on the target: a frame of a RANGE with a distance
-- 185:14: RC0602 by hand: No counterpart on the target: CURSOR
-- 186:34: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 187:8: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 188:15: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 188:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 188:8: RC0607 check: Function with a difference: char_length: trailing blanks do not count
-- 190:8: RC0615 adapted: Division kept: an average with all of its digits
-- 190:16: RC0609 adapted: Said in other words: a sum of whole numbers with 64 bits
-- 190:23: RC0615 adapted: Division kept: with its fraction
