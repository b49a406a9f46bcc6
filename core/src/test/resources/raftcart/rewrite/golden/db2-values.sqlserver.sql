-- to: postgresql mariadb sqlserver
CREATE TABLE frame (
    id int IDENTITY(1,1) NOT NULL PRIMARY KEY,
    a int,
    b decimal(9,2),
    s nvarchar(40) COLLATE Latin1_General_100_BIN2,
    c nchar(10) COLLATE Latin1_General_100_BIN2,
    d date,
    tm time(0),
    ts datetime2(6),
    f float,
    bo bit,
    cl nvarchar(max) COLLATE Latin1_General_100_BIN2,
    x varbinary(20)
);
SELECT DATEADD(month, 1, d) FROM frame;
SELECT DATEADD(day, -7, d) FROM frame;
SELECT DATEADD(minute, 90, ts) FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT d - DATE('2026-01-01') FROM frame
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT ts - ts FROM frame
SELECT (DATEDIFF(day, CAST('0001-01-01' AS date), CAST(d AS date)) + 1) - (DATEDIFF(day, CAST('0001-01-01' AS date), CAST('2026-01-01' AS date)) + 1)
FROM frame;
SELECT (DATEDIFF(day, CAST('0001-01-01' AS date), CAST(CAST(GETDATE() AS DATE) AS date)) + 1) - (DATEDIFF(day, CAST('0001-01-01' AS date), CAST(d AS date)) + 1)
FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT YEAR(CURRENT DATE - d) FROM frame
SELECT (DATEDIFF(second, ts, ts) / 86400) FROM frame;
SELECT DATEADD(hour, -1, SYSDATETIME()) FROM frame;
SELECT CAST(GETDATE() AS DATE) FROM frame;
SELECT CAST(GETDATE() AS TIME) FROM frame;
SELECT CURRENT_USER FROM frame;
SELECT CAST(d AS NVARCHAR(MAX)) FROM frame;
SELECT FORMAT(d, 'yyyy-MM-dd') FROM frame;
SELECT CAST(a AS NVARCHAR(MAX)) FROM frame;
SELECT DIGITS(a) FROM frame;
SELECT CAST(a AS NVARCHAR(MAX)) FROM frame;
SELECT CAST(s AS decimal(9,2)) FROM frame;
SELECT CAST(a AS decimal(11,2)) FROM frame;
SELECT CAST(s AS int) FROM frame;
SELECT CAST(b AS int) FROM frame;
SELECT CAST(a AS bigint) FROM frame;
SELECT CAST(s AS FLOAT) FROM frame;
SELECT a / 2 FROM frame;
SELECT CAST(b AS decimal(38,20)) / 3 FROM frame;
SELECT CAST(a AS decimal(38,20)) / b FROM frame;
SELECT (a % 3) FROM frame;
SELECT s + c FROM frame;
SELECT s + c FROM frame;
SELECT LEN(c) FROM frame;
SELECT LEN(s) FROM frame;
SELECT SUBSTRING(s, 2, 3) FROM frame;
SELECT SUBSTRING(s, 2, LEN(s)) FROM frame;
SELECT CHARINDEX('a', s) FROM frame;
SELECT CHARINDEX('a', s, 3) FROM frame;
SELECT CHARINDEX('a', s) FROM frame;
SELECT TRIM(s) FROM frame;
SELECT LTRIM(s, '0') FROM frame;
SELECT LTRIM(s, '0') FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CASE WHEN a > 0 THEN 'p' ELSE 'n' END FROM frame;
SELECT ROUND(b, 1) FROM frame;
SELECT ROUND(b, 1, 1) FROM frame;
SELECT DATEADD(month, DATEDIFF(month, 0, d), 0) FROM frame;
SELECT RAND(CHECKSUM(NEWID())) FROM frame;
SELECT STRING_AGG(s, ', ') WITHIN GROUP (ORDER BY s) FROM frame;
-- RC0602 by hand: No counterpart on the target: XMLAGG
-- SELECT XMLAGG(XMLELEMENT(NAME e, s)) FROM frame
SELECT ROW_NUMBER() OVER (ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a) FROM frame;
SELECT FORMAT(ts, 'yyyy-MM-dd HH:mm:ss') FROM frame;
SELECT FORMAT(ts, 'yyyyMMdd') FROM frame;
SELECT CAST('2026-01-31' AS date) FROM frame;
SELECT CAST('2026-01-31 00:00:00' AS datetime2(0)) FROM frame;
SELECT (DATEDIFF(day, '19000107', d) % 7 + 1) FROM frame;
SELECT (DATEDIFF(day, '19000101', d) % 7 + 1) FROM frame;
SELECT DATEPART(iso_week, d) FROM frame;
SELECT DATEPART(dayofyear, d) FROM frame;
SELECT DATEPART(quarter, d) FROM frame;
SELECT DATENAME(month, d) FROM frame;
SELECT DATENAME(weekday, d) FROM frame;
SELECT EOMONTH(d) FROM frame;
SELECT DATEADD(day, (CASE LOWER(LEFT('MON', 2)) WHEN 'su' THEN 0 WHEN 'mo' THEN 1 WHEN 'tu' THEN 2 WHEN 'we' THEN 3 WHEN 'th' THEN 4 WHEN 'fr' THEN 5 WHEN 'sa' THEN 6 END - DATEDIFF(day, '1899-12-31', d) % 7 + 6) % 7 + 1, d)
FROM frame;
SELECT DATEADD(month, 1, d) FROM frame;
SELECT (DATEDIFF(month, d, d) + CASE WHEN DAY(d) = DAY(d) OR (DAY(d) = DAY(EOMONTH(d)) AND DAY(d) = DAY(EOMONTH(d))) THEN 0 ELSE (DAY(d) - DAY(d) + (DATEDIFF(second, CAST(d AS date), d) - DATEDIFF(second, CAST(d AS date), d)) / CAST(86400 AS float)) / 31 END)
FROM frame;
SELECT ROUND(DATEDIFF(second, CAST('00:00:00' AS time), CAST(tm AS time)), 0, 1) FROM frame;
SELECT CONVERT(varchar(max), CAST(CAST(s COLLATE Latin1_General_100_BIN2_UTF8 AS varchar(max)) AS varbinary(max)), 2)
FROM frame;
SELECT TRANSLATE(s, 'abc', 'ABC') FROM frame;
SELECT UPPER(s) FROM frame;
SELECT UPPER(s) FROM frame;
SELECT LOWER(s) FROM frame;
SELECT REPLICATE('x', 3) FROM frame;
SELECT STUFF(s, 2, 1, 'zz') FROM frame;
SELECT LEFT(s, 3) FROM frame;
SELECT RIGHT(c, 3) FROM frame;
SELECT RIGHT(REPLICATE('0', 8) + LEFT(s, 8), 8) FROM frame;
SELECT CAST(NULL AS int) FROM frame;
SELECT CAST(NEWID() AS varbinary(16)) FROM frame;
SELECT SCOPE_IDENTITY() FROM frame;
SELECT NEXT VALUE FOR sq FROM frame;
-- RC0602 by hand: No counterpart on the target: the last number of a sequence cannot be said in sqlserver
-- SELECT PREVIOUS VALUE FOR sq FROM frame
SELECT NEXT VALUE FOR sq FROM frame;
-- RC0602 by hand: No counterpart on the target: XMLSERIALIZE
-- SELECT XMLSERIALIZE(x AS clob) FROM frame
SELECT CAST(ts AS DATE) FROM frame;
SELECT CAST(ts AS TIME) FROM frame;
SELECT DATEADD(second, DATEDIFF(second, CAST('00:00:00' AS time), tm), CAST(d AS datetime2))
FROM frame;
SELECT '2026-01-31 10:20:30.000000' FROM frame;
SELECT DATEPART(microsecond, ts) FROM frame;
SELECT DATEPART(second, ts) FROM frame;
SELECT CASE WHEN a >= 5 THEN a WHEN 5 > a THEN 5 END FROM frame;
SELECT CASE WHEN a <= 5 THEN a WHEN 5 < a THEN 5 END FROM frame;
SELECT SIGN(a) FROM frame;
SELECT (a & 3) FROM frame;
-- RC0602 by hand: No counterpart on the target: the function regexp_like with 2 argument(s) has no counterpart in sqlserver
-- SELECT REGEXP_LIKE(s, 'a.b') FROM frame
-- RC0602 by hand: No counterpart on the target: the function regexp_substring with 2 argument(s) has no counterpart in sqlserver
-- SELECT REGEXP_SUBSTR(s, '[0-9]+') FROM frame
-- RC0602 by hand: No counterpart on the target: the function regexp_replace_all with 3 argument(s) has no counterpart in sqlserver
-- SELECT REGEXP_REPLACE(s, 'a', 'b') FROM frame
SELECT JSON_VALUE(cl, '$.a') FROM frame;
SELECT TOP 5 * FROM frame;
SELECT a, s FROM frame WHERE d = '2026-01-31' OR d = '2026-01-31';
SELECT a FROM frame WHERE c = 'abc';
SELECT a FROM frame WHERE c LIKE 'abc';
SELECT a FROM frame ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s;
INSERT INTO frame (a) OUTPUT INSERTED.a VALUES (1);
SELECT 1;
SELECT 1, 'a'
UNION ALL
SELECT 2, 'b';
SELECT CAST(GETDATE() AS DATE);
WITH r (n) AS (
    SELECT 1
    UNION ALL
    SELECT n + 1 FROM r WHERE n < 5
)
SELECT n
FROM r;
SELECT a, COUNT(*) FROM frame GROUP BY ROLLUP(a);
-- RC0602 by hand: No counterpart on the target: EXCEPT ALL cannot be said in sqlserver
-- SELECT a FROM frame EXCEPT ALL SELECT a FROM frame
UPDATE frame
SET a = (SELECT a FROM frame x WHERE x.id = frame.id), s = (SELECT s FROM frame x WHERE x.id = frame.id);
UPDATE frame SET a = a + 1, b = a;
DELETE FROM frame WHERE id IN (SELECT TOP 3 id FROM frame);
MERGE INTO frame
USING (SELECT 1, 'x') v (id, s)
ON frame.id = v.id
WHEN MATCHED THEN UPDATE SET s = v.s
WHEN NOT MATCHED THEN INSERT (a, s) VALUES (v.id, v.s);
INSERT INTO frame (a, d)
VALUES (1, CAST(GETDATE() AS DATE)), (2, DATEADD(day, 1, CAST('2026-01-31' AS DATE)));
SELECT a FROM frame;
SELECT a FROM frame;
SELECT a FROM frame WITH (UPDLOCK, ROWLOCK);
SELECT a
FROM frame
CROSS APPLY (SELECT MAX(b) AS m FROM frame x WHERE x.a = frame.a) q;
SELECT frame.a
FROM frame
CROSS APPLY (SELECT MAX(b) AS m FROM frame x WHERE x.a = frame.a) q;
SELECT * FROM (SELECT * FROM frame WHERE RAND(CHECKSUM(NEWID())) * 100 < 10) frame;
SELECT a FROM frame ORDER BY (SELECT NULL) OFFSET 2 ROWS FETCH NEXT 5 ROWS ONLY;
SELECT s FROM frame WHERE s IN ('a', 'b') AND a BETWEEN 1 AND 5;
SELECT CAST(CAST(a AS DECIMAL(38, 10)) AS decimal(38,20)) / 3 FROM frame;

-- findings
-- 6:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 7:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 10:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 11:8: RC0607 check: Function with a difference: the source counts a month as 30 days and a year as 365
-- 16:8: RC0607 check: Function with a difference: text_of: the source fills the text up with blanks
-- 16:8: RC0608 adapted: Function spelled otherwise: CHAR means text_of
-- 1:1: RC0609 adapted: Said in other words: the mask YYYY-MM-DD is yyyy-MM-dd
-- 18:8: RC0607 check: Function with a difference: text_of: the source fills the text up with blanks
-- 18:8: RC0608 adapted: Function spelled otherwise: CHAR means text_of
-- 19:8: RC0606 check: Function is not in the dictionary: DIGITS
-- 20:8: RC0608 adapted: Function spelled otherwise: VARCHAR means text_of
-- 26:8: RC0608 adapted: Function spelled otherwise: DOUBLE means float_of
-- 28:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 29:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 33:8: RC0607 check: Function with a difference: char_length: the source counts bytes where the text is one of OCTETS
-- 33:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 33:8: RC0607 check: Function with a difference: char_length: trailing blanks do not count
-- 34:8: RC0607 check: Function with a difference: char_length: the source counts bytes where the text is one of OCTETS
-- 34:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 34:8: RC0607 check: Function with a difference: char_length: trailing blanks do not count
-- 39:8: RC0608 adapted: Function spelled otherwise: POSSTR means locate
-- 40:8: RC0608 adapted: Function spelled otherwise: STRIP means trim
-- 44:8: RC0608 adapted: Function spelled otherwise: VALUE means coalesce
-- 51:8: RC0608 adapted: Function spelled otherwise: LISTAGG means string_agg
-- 52:38: RC0602 by hand: No counterpart on the target: XMLAGG
-- 53:36: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 54:20: RC0609 adapted: Said in other words: the mask YYYY-MM-DD HH24:MI:SS is yyyy-MM-dd HH:mm:ss
-- 55:27: RC0609 adapted: Said in other words: the mask YYYYMMDD is yyyyMMdd
-- 56:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 57:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31 00:00:00
-- 58:8: RC0608 adapted: Function spelled otherwise: DAYOFWEEK means day_of_week_sunday_1
-- 59:8: RC0608 adapted: Function spelled otherwise: DAYOFWEEK_ISO means extract_iso_day_of_week
-- 60:8: RC0608 adapted: Function spelled otherwise: WEEK_ISO means extract_week
-- 61:8: RC0608 adapted: Function spelled otherwise: DAYOFYEAR means extract_day_of_year
-- 62:8: RC0608 adapted: Function spelled otherwise: QUARTER means extract_quarter
-- 63:8: RC0608 adapted: Function spelled otherwise: MONTHNAME means month_name
-- 64:8: RC0608 adapted: Function spelled otherwise: DAYNAME means day_name
-- 67:8: RC0607 check: Function with a difference: the last day of a month stays the last day
-- 69:8: RC0607 check: Function with a difference: seconds_of_time: fractions of a second are cut off
-- 73:8: RC0608 adapted: Function spelled otherwise: UCASE means upper
-- 74:8: RC0608 adapted: Function spelled otherwise: LCASE means lower
-- 76:8: RC0607 check: Function with a difference: insert_text: a start beyond the end of the text gives NULL
-- 79:8: RC0607 check: Function with a difference: lpad_with: the fill should be one character
-- 81:8: RC0607 check: Function with a difference: uuid_bytes: 13 bytes on the source, in the order in which they are made
-- 81:8: RC0608 adapted: Function spelled otherwise: GENERATE_UNIQUE means uuid_bytes
-- 82:8: RC0608 adapted: Function spelled otherwise: IDENTITY_VAL_LOCAL means last_identity
-- 84:1: RC0602 by hand: No counterpart on the target: the last number of a sequence cannot be said in sqlserver
-- 86:20: RC0602 by hand: No counterpart on the target: XMLSERIALIZE
-- 89:8: RC0607 check: Function with a difference: timestamp_of_parts: fractions of a second are cut off
-- 93:8: RC0609 adapted: Said in other words: greatest in other words
-- 94:8: RC0609 adapted: Said in other words: least in other words
-- 96:8: RC0608 adapted: Function spelled otherwise: BITAND means bit_and
-- 97:1: RC0602 by hand: No counterpart on the target: the function regexp_like with 2 argument(s) has no counterpart in sqlserver
-- 98:1: RC0602 by hand: No counterpart on the target: the function regexp_substring with 2 argument(s) has no counterpart in sqlserver
-- 99:1: RC0602 by hand: No counterpart on the target: the function regexp_replace_all with 3 argument(s) has no counterpart in sqlserver
-- 101:45: RC0605 adapted: Hint left out: WITH UR
-- 105:30: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 112:1: RC0602 by hand: No counterpart on the target: EXCEPT ALL cannot be said in sqlserver
-- 113:27: RC0609 adapted: Said in other words: a query for each of the columns that it gives
-- 118:21: RC0605 adapted: Hint left out: OPTIMIZE FOR 10 ROWS
-- 120:37: RC0605 adapted: Hint left out: WITH RS USE AND KEEP EXCLUSIVE LOCKS
-- 120:1: RC0609 adapted: Said in other words: FOR UPDATE as locks of the tables
-- 121:22: RC0609 adapted: Said in other words: LATERAL as APPLY
-- 122:28: RC0609 adapted: Said in other words: LATERAL as APPLY
-- 123:15: RC0624 check: Sample drawn otherwise
-- 126:8: RC0608 adapted: Function spelled otherwise: DECFLOAT means number_of
-- 126:20: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 126:8: RC0607 check: Function with a difference: number_of: more than ten digits behind the point are cut off
