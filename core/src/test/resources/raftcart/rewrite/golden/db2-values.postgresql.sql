-- to: postgresql mariadb sqlserver
CREATE TABLE frame (
    id integer GENERATED ALWAYS AS IDENTITY NOT NULL PRIMARY KEY,
    a integer,
    b numeric(9,2),
    s character varying(40),
    c character(10),
    d date,
    tm time(0) without time zone,
    ts timestamp(6) without time zone,
    f double precision,
    bo boolean,
    cl text,
    x bytea CHECK (octet_length(x) <= 20)
);
SELECT CAST(d + INTERVAL '1 month' AS date) FROM frame;
SELECT CAST(d - INTERVAL '7 day' AS date) FROM frame;
SELECT ts + INTERVAL '90 minute' FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT d - DATE('2026-01-01') FROM frame
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT ts - ts FROM frame
SELECT (CAST(d AS date) - DATE '2000-01-01' + 730120) - (CAST(DATE '2026-01-01' AS date) - DATE '2000-01-01' + 730120)
FROM frame;
SELECT (CAST(CURRENT_DATE AS date) - DATE '2000-01-01' + 730120) - (CAST(d AS date) - DATE '2000-01-01' + 730120)
FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT YEAR(CURRENT DATE - d) FROM frame
SELECT TRUNC(EXTRACT(EPOCH FROM CAST(ts AS timestamp) - CAST(ts AS timestamp)) / 86400) FROM frame;
SELECT LOCALTIMESTAMP - INTERVAL '1 hour' FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT LOCALTIME FROM frame;
SELECT CURRENT_USER FROM frame;
SELECT CAST(d AS text) FROM frame;
SELECT TO_CHAR(d, 'YYYY-MM-DD') FROM frame;
SELECT CAST(a AS text) FROM frame;
SELECT DIGITS(a) FROM frame;
SELECT CAST(a AS text) FROM frame;
SELECT CAST(s AS numeric(9,2)) FROM frame;
SELECT CAST(a AS numeric(11,2)) FROM frame;
SELECT CAST(s AS integer) FROM frame;
SELECT CAST(TRUNC(b) AS integer) FROM frame;
SELECT CAST(a AS bigint) FROM frame;
SELECT CAST(s AS double precision) FROM frame;
SELECT a / 2 FROM frame;
SELECT b / 3 FROM frame;
SELECT a / b FROM frame;
SELECT MOD(a, 3) FROM frame;
SELECT s || c FROM frame;
SELECT s || c FROM frame;
SELECT CHAR_LENGTH(c) FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT SUBSTR(s, 2, 3) FROM frame;
SELECT SUBSTR(s, 2) FROM frame;
SELECT STRPOS(s, 'a') FROM frame;
SELECT CASE WHEN STRPOS(SUBSTR(s, 3), 'a') = 0 THEN 0 ELSE STRPOS(SUBSTR(s, 3), 'a') + 3 - 1 END
FROM frame;
SELECT STRPOS(s, 'a') FROM frame;
SELECT BTRIM(s) FROM frame;
SELECT LTRIM(s, '0') FROM frame;
SELECT LTRIM(s, '0') FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CASE WHEN a > 0 THEN 'p' ELSE 'n' END FROM frame;
SELECT ROUND(b, 1) FROM frame;
SELECT TRUNC(b, 1) FROM frame;
SELECT CAST(DATE_TRUNC('month', d) AS date) FROM frame;
SELECT RANDOM() FROM frame;
SELECT STRING_AGG(s, ', ' ORDER BY s) FROM frame;
-- RC0602 by hand: No counterpart on the target: XMLAGG
-- SELECT XMLAGG(XMLELEMENT(NAME e, s)) FROM frame
SELECT ROW_NUMBER() OVER (ORDER BY a) FROM frame;
SELECT TO_CHAR(ts, 'YYYY-MM-DD HH24:MI:SS') FROM frame;
SELECT TO_CHAR(ts, 'YYYYMMDD') FROM frame;
SELECT DATE '2026-01-31' FROM frame;
SELECT TIMESTAMP '2026-01-31 00:00:00' FROM frame;
SELECT (EXTRACT(DOW FROM d) + 1) FROM frame;
SELECT EXTRACT(ISODOW FROM d) FROM frame;
SELECT EXTRACT(WEEK FROM d) FROM frame;
SELECT EXTRACT(DOY FROM d) FROM frame;
SELECT EXTRACT(QUARTER FROM d) FROM frame;
SELECT TO_CHAR(d, 'FMMonth') FROM frame;
SELECT TO_CHAR(d, 'FMDay') FROM frame;
SELECT CAST(DATE_TRUNC('month', d) + INTERVAL '1 month' - INTERVAL '1 day' AS date) FROM frame;
SELECT CAST(d + ((CASE LOWER(LEFT('MON', 2)) WHEN 'su' THEN 0 WHEN 'mo' THEN 1 WHEN 'tu' THEN 2 WHEN 'we' THEN 3 WHEN 'th' THEN 4 WHEN 'fr' THEN 5 WHEN 'sa' THEN 6 END - CAST(EXTRACT(DOW FROM d) AS integer) + 6) % 7 + 1) * INTERVAL '1 day' AS date)
FROM frame;
SELECT CAST(d + 1 * INTERVAL '1 month' AS date) FROM frame;
SELECT ((EXTRACT(YEAR FROM CAST(d AS timestamp)) - EXTRACT(YEAR FROM CAST(d AS timestamp))) * 12 + EXTRACT(MONTH FROM CAST(d AS timestamp)) - EXTRACT(MONTH FROM CAST(d AS timestamp)) + CASE WHEN EXTRACT(DAY FROM CAST(d AS timestamp)) = EXTRACT(DAY FROM CAST(d AS timestamp)) OR (EXTRACT(DAY FROM CAST(d AS timestamp) + INTERVAL '1 day') = 1 AND EXTRACT(DAY FROM CAST(d AS timestamp) + INTERVAL '1 day') = 1) THEN 0 ELSE (EXTRACT(EPOCH FROM CAST(d AS timestamp) - DATE_TRUNC('month', CAST(d AS timestamp))) - EXTRACT(EPOCH FROM CAST(d AS timestamp) - DATE_TRUNC('month', CAST(d AS timestamp)))) / 2678400 END)
FROM frame;
SELECT TRUNC(EXTRACT(EPOCH FROM tm)) FROM frame;
SELECT UPPER(ENCODE(CONVERT_TO(s, 'UTF8'), 'hex')) FROM frame;
SELECT TRANSLATE(s, 'abc', 'ABC') FROM frame;
SELECT UPPER(s) FROM frame;
SELECT UPPER(s) FROM frame;
SELECT LOWER(s) FROM frame;
SELECT REPEAT('x', 3) FROM frame;
SELECT OVERLAY(s PLACING 'zz' FROM 2 FOR 1) FROM frame;
SELECT LEFT(s, 3) FROM frame;
SELECT RIGHT(c, 3) FROM frame;
SELECT LPAD(s, 8, '0') FROM frame;
SELECT CAST(NULL AS integer) FROM frame;
SELECT DECODE(REPLACE(CAST(GEN_RANDOM_UUID() AS text), '-', ''), 'hex') FROM frame;
SELECT LASTVAL() FROM frame;
SELECT NEXTVAL('sq') FROM frame;
SELECT CURRVAL('sq') FROM frame;
SELECT NEXTVAL('sq') FROM frame;
-- RC0602 by hand: No counterpart on the target: XMLSERIALIZE
-- SELECT XMLSERIALIZE(x AS clob) FROM frame
SELECT CAST(ts AS date) FROM frame;
SELECT CAST(ts AS time) FROM frame;
SELECT (d + tm) FROM frame;
SELECT TIMESTAMP '2026-01-31 10:20:30.000000' FROM frame;
SELECT (CAST(EXTRACT(MICROSECONDS FROM ts) AS integer) % 1000000) FROM frame;
SELECT FLOOR(EXTRACT(SECOND FROM ts)) FROM frame;
SELECT CASE WHEN a >= 5 THEN a WHEN 5 > a THEN 5 END FROM frame;
SELECT CASE WHEN a <= 5 THEN a WHEN 5 < a THEN 5 END FROM frame;
SELECT SIGN(a) FROM frame;
SELECT (a & 3) FROM frame;
SELECT (s ~ 'a[^\n]b') FROM frame;
SELECT REGEXP_SUBSTR(s, '[0-9]+') FROM frame;
SELECT REGEXP_REPLACE(s, 'a', 'b', 'g') FROM frame;
SELECT CASE WHEN JSONB_TYPEOF(JSONB_PATH_QUERY_FIRST(CAST(cl AS jsonb), CAST('$.a' AS jsonpath))) NOT IN ('object', 'array') THEN JSONB_PATH_QUERY_FIRST(CAST(cl AS jsonb), CAST('$.a' AS jsonpath)) #>> '{}' END
FROM frame;
SELECT * FROM frame LIMIT 5;
SELECT a, s FROM frame WHERE d = DATE '2026-01-31' OR d = DATE '2026-01-31';
SELECT a FROM frame WHERE c = 'abc';
SELECT a FROM frame WHERE c LIKE 'abc';
SELECT a FROM frame ORDER BY s;
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
SELECT a, COUNT(*) FROM frame GROUP BY ROLLUP(a);
SELECT a FROM frame EXCEPT ALL SELECT a FROM frame;
UPDATE frame SET (a, s) = (SELECT a, s FROM frame x WHERE x.id = frame.id);
UPDATE frame SET a = a + 1, b = a;
DELETE FROM frame WHERE id IN (SELECT id FROM frame LIMIT 3);
MERGE INTO frame
USING (VALUES (1, 'x')) v (id, s)
ON frame.id = v.id
WHEN MATCHED THEN UPDATE SET s = v.s
WHEN NOT MATCHED THEN INSERT (a, s) VALUES (v.id, v.s);
INSERT INTO frame (a, d)
VALUES (1, CURRENT_DATE), (2, CAST(DATE '2026-01-31' + INTERVAL '1 day' AS date));
SELECT a FROM frame;
SELECT a FROM frame;
SELECT a FROM frame FOR UPDATE;
SELECT a FROM frame, LATERAL (SELECT MAX(b) AS m FROM frame x WHERE x.a = frame.a) AS q;
SELECT frame.a FROM frame, LATERAL (SELECT MAX(b) AS m FROM frame x WHERE x.a = frame.a) q;
SELECT * FROM frame TABLESAMPLE BERNOULLI(10);
SELECT a FROM frame LIMIT 5 OFFSET 2;
SELECT s FROM frame WHERE s IN ('a', 'b') AND a BETWEEN 1 AND 5;
SELECT CAST(CAST(a AS text) AS numeric) / 3 FROM frame;

-- findings
-- 2:1: RC0617 check: Trailing blanks in comparisons: those of stored texts count on the target, in this table and in all others; nothing to do where texts have none
-- 2:203: RC0109 adapted: Fixed number of bytes kept by a check: x: bytea with a check for at most 20 bytes
-- 6:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 7:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 10:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 11:8: RC0607 check: Function with a difference: the source counts a month as 30 days and a year as 365
-- 16:8: RC0607 check: Function with a difference: text_of: the source fills the text up with blanks
-- 16:8: RC0608 adapted: Function spelled otherwise: CHAR means text_of
-- 18:8: RC0607 check: Function with a difference: text_of: the source fills the text up with blanks
-- 18:8: RC0608 adapted: Function spelled otherwise: CHAR means text_of
-- 19:8: RC0606 check: Function is not in the dictionary: DIGITS
-- 20:8: RC0608 adapted: Function spelled otherwise: VARCHAR means text_of
-- 24:8: RC0609 adapted: Said in other words: cut as on the source
-- 26:8: RC0608 adapted: Function spelled otherwise: DOUBLE means float_of
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
-- 73:8: RC0608 adapted: Function spelled otherwise: UCASE means upper
-- 74:8: RC0608 adapted: Function spelled otherwise: LCASE means lower
-- 78:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 81:8: RC0607 check: Function with a difference: uuid_bytes: 13 bytes on the source, in the order in which they are made
-- 81:8: RC0608 adapted: Function spelled otherwise: GENERATE_UNIQUE means uuid_bytes
-- 82:8: RC0608 adapted: Function spelled otherwise: IDENTITY_VAL_LOCAL means last_identity
-- 86:20: RC0602 by hand: No counterpart on the target: XMLSERIALIZE
-- 93:8: RC0609 adapted: Said in other words: greatest in other words
-- 94:8: RC0609 adapted: Said in other words: least in other words
-- 96:8: RC0608 adapted: Function spelled otherwise: BITAND means bit_and
-- 97:23: RC0609 adapted: Said in other words: a dot that stays within its line
-- 100:8: RC0608 adapted: Function spelled otherwise: JSON_VALUE means json_scalar_text
-- 101:45: RC0605 adapted: Hint left out: WITH UR
-- 118:21: RC0605 adapted: Hint left out: OPTIMIZE FOR 10 ROWS
-- 120:37: RC0605 adapted: Hint left out: WITH RS USE AND KEEP EXCLUSIVE LOCKS
-- 120:1: RC0609 adapted: Said in other words: a lock of all tables without their names
-- 123:15: RC0624 check: Sample drawn otherwise
-- 126:17: RC0609 adapted: Said in other words: a number as a text
-- 126:8: RC0608 adapted: Function spelled otherwise: DECFLOAT means number_of
