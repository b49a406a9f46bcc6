-- to: postgresql mariadb
CREATE TABLE frame (
    id integer NOT NULL PRIMARY KEY,
    a integer,
    b numeric(9,2),
    s character varying(40),
    c character(10),
    d date,
    tm time(4) without time zone,
    ts timestamp(6) without time zone,
    bl text,
    bo boolean,
    f double precision
);
SELECT d + 7 FROM frame;
SELECT (ts + 1.5 * INTERVAL '1 day') FROM frame;
SELECT d - d FROM frame;
SELECT (EXTRACT(EPOCH FROM ts) - EXTRACT(EPOCH FROM ts)) / 86400 FROM frame;
SELECT CAST(d + 1 * INTERVAL '1 day' AS date) FROM frame;
SELECT CAST(d + 1 * INTERVAL '1 day' AS date) FROM frame;
SELECT (ts + (-3) * INTERVAL '1 month') FROM frame;
SELECT (CAST(ts AS date) - CAST(d AS date)) FROM frame;
SELECT DIV(EXTRACT(EPOCH FROM DATE_TRUNC('hour', CAST(ts AS timestamp)) - DATE_TRUNC('hour', CAST(ts AS timestamp))), 3600)
FROM frame;
SELECT EXTRACT(DOW FROM d) FROM frame;
SELECT EXTRACT(DOY FROM d) FROM frame;
SELECT EXTRACT(week FROM d) FROM frame;
SELECT (CAST(TRUNC(EXTRACT(MILLISECONDS FROM ts)) AS integer) % 1000) FROM frame;
SELECT CURRENT_TIMESTAMP FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT CURRENT_TIMESTAMP FROM frame;
SELECT LOCALTIMESTAMP FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT CAST(ts AS date) FROM frame;
SELECT CAST(a AS character varying(10)) FROM frame;
SELECT CAST(s AS integer) FROM frame;
SELECT CAST(b AS integer) FROM frame;
SELECT a / 2 FROM frame;
SELECT b / 3 FROM frame;
SELECT a / b FROM frame;
SELECT MOD(a, 3) FROM frame;
SELECT s || c FROM frame;
SELECT s || a FROM frame;
SELECT CASE WHEN STARTS_WITH(s, 'a') THEN 1 END FROM frame;
SELECT CASE WHEN (STRPOS(LOWER(s), LOWER('a')) > 0) THEN 1 END FROM frame;
SELECT CASE WHEN (s SIMILAR TO 'a%') THEN 1 END FROM frame;
SELECT CASE WHEN s LIKE 'a%' THEN 1 END FROM frame;
SELECT SUBSTR(s, 2) FROM frame;
SELECT SUBSTR(s, 2, 3) FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT CHAR_LENGTH(c) FROM frame;
SELECT OCTET_LENGTH(s) FROM frame;
SELECT STRPOS(s, 'a') FROM frame;
SELECT STRPOS(s, 'a') FROM frame;
SELECT CASE WHEN STRPOS(SUBSTR(s, 3), 'a') = 0 THEN 0 ELSE STRPOS(SUBSTR(s, 3), 'a') + 3 - 1 END
FROM frame;
SELECT OVERLAY(s PLACING 'x' FROM 2 FOR 1) FROM frame;
SELECT LPAD(s, 8, '0') FROM frame;
SELECT LPAD(s, 8) FROM frame;
SELECT BTRIM(s) FROM frame;
SELECT LTRIM(s, '0') FROM frame;
SELECT REPLACE(s, 'a', 'b') FROM frame;
SELECT REVERSE(s) FROM frame;
SELECT LEFT(s, 3) FROM frame;
SELECT RIGHT(s, 3) FROM frame;
SELECT CHR(65) FROM frame;
SELECT ASCII(s) FROM frame;
SELECT CASE WHEN a > 1 THEN 'x' ELSE 'y' END FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CASE a WHEN 1 THEN 'x' ELSE 'y' END FROM frame;
SELECT CASE WHEN a >= 5 THEN a WHEN 5 > a THEN 5 END FROM frame;
SELECT CASE WHEN a <= 5 THEN a WHEN 5 < a THEN 5 END FROM frame;
SELECT ROUND(b, 1) FROM frame;
SELECT TRUNC(b) FROM frame;
SELECT TRUNC(b, 1) FROM frame;
SELECT CEIL(b) FROM frame;
SELECT (a & 3) FROM frame;
SELECT (a << 2) FROM frame;
SELECT RANDOM() FROM frame;
SELECT NEXTVAL('g') FROM frame;
SELECT NEXTVAL('g') FROM frame;
SELECT DECODE(REPLACE(CAST(GEN_RANDOM_UUID() AS text), '-', ''), 'hex') FROM frame;
SELECT DECODE(REPLACE(s, '-', ''), 'hex') FROM frame;
SELECT UUID_TO_CHAR(DECODE(REPLACE(CAST(GEN_RANDOM_UUID() AS text), '-', ''), 'hex')) FROM frame;
SELECT HASH(s) FROM frame;
SELECT STRING_AGG(s, ',') FROM frame;
SELECT STRING_AGG(s, ';') FROM frame;
SELECT STRING_AGG(DISTINCT s, ',') FROM frame;
SELECT COUNT(DISTINCT a) FROM frame;
SELECT CURRENT_USER FROM frame;
SELECT "rdb$get_context"('SYSTEM', 'ENGINE_VERSION') FROM frame;
SELECT ROW_COUNT FROM frame;
SELECT CASE WHEN a IS DISTINCT FROM 1 THEN 1 END FROM frame;
SELECT CASE WHEN bo IS TRUE THEN 1 END FROM frame;
SELECT a FROM frame ORDER BY a NULLS FIRST LIMIT 5 OFFSET 10;
SELECT a FROM frame LIMIT 5;
SELECT a FROM frame LIMIT 5 OFFSET 5;
SELECT a FROM frame WHERE STARTS_WITH(s, 'K');
SELECT a FROM frame WHERE (STRPOS(LOWER(s), LOWER('idge')) > 0);
SELECT a FROM frame ORDER BY s NULLS LAST;
SELECT a FROM frame FOR UPDATE;
SELECT DISTINCT a FROM frame;
SELECT "rdb$db_key", a FROM frame;
SELECT CURRENT_TIMESTAMP;
INSERT INTO frame (id, a) VALUES (1, 2) ON CONFLICT (id) DO UPDATE SET a = EXCLUDED.a;
INSERT INTO frame (id) VALUES (1) RETURNING id, a;
DELETE FROM frame WHERE id = 1 RETURNING a;
-- RC0602 by hand: No counterpart on the target: ROWS in a change
-- UPDATE frame SET a = a + 1 ORDER BY id ROWS 5
MERGE INTO frame USING (SELECT id, a FROM frame) x ON frame.id = x.id WHEN MATCHED THEN UPDATE SET a = x.a WHEN NOT MATCHED THEN INSERT (id, a) VALUES (x.id, x.a);
SELECT a, SUM(b) OVER (PARTITION BY s ORDER BY id) FROM frame;
WITH RECURSIVE r AS (
    SELECT 1 AS n
    UNION ALL
    SELECT n + 1 FROM r WHERE n < 5
)
SELECT n
FROM r;
SELECT a FROM frame WHERE d = DATE '2026-01-31' OR d = 'TODAY';
SELECT 0; CALL p(1);
SELECT * FROM p(1);
SELECT 0; SELECT 0;
DROP TABLE IF EXISTS z;
CREATE TABLE z (
    a integer
);
CREATE SEQUENCE g;
SELECT 0;
ALTER SEQUENCE g RESTART WITH 11;
CREATE INDEX i ON frame (a DESC);
CREATE INDEX i2 ON frame ((UPPER(s)));
ALTER TABLE frame ADD COLUMN x integer;
ALTER TABLE frame DROP COLUMN s;
ALTER TABLE frame ALTER COLUMN a TYPE bigint;
ALTER TABLE frame RENAME COLUMN b TO bb;
SELECT 0;
COMMENT ON COLUMN frame.a IS 'x'

-- findings
-- 4:11: RC0609 adapted: Said in other words: days added to a date
-- 7:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_days
-- 8:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_days
-- 9:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_months
-- 10:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_days
-- 11:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_hours
-- 16:8: RC0609 adapted: Said in other words: the date 'now'
-- 17:8: RC0609 adapted: Said in other words: the date 'today'
-- 26:10: RC0607 check: Function with a difference: the source rounds a quotient to few digits
-- 27:10: RC0607 check: Function with a difference: the source rounds a quotient to few digits
-- 29:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 38:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 38:8: RC0608 adapted: Function spelled otherwise: CHARACTER_LENGTH means char_length
-- 40:8: RC0608 adapted: Function spelled otherwise: POSITION means locate
-- 42:8: RC0608 adapted: Function spelled otherwise: POSITION means locate
-- 52:8: RC0608 adapted: Function spelled otherwise: ASCII_CHAR means char_of
-- 53:8: RC0608 adapted: Function spelled otherwise: ASCII_VAL means ascii
-- 54:8: RC0609 adapted: Said in other words: a choice as CASE
-- 57:8: RC0609 adapted: Said in other words: decode in other words
-- 58:8: RC0609 adapted: Said in other words: greatest in other words
-- 59:8: RC0609 adapted: Said in other words: least in other words
-- 63:8: RC0608 adapted: Function spelled otherwise: CEILING means ceil
-- 64:8: RC0608 adapted: Function spelled otherwise: BIN_AND means bit_and
-- 65:8: RC0608 adapted: Function spelled otherwise: BIN_SHL means shift_left
-- 69:8: RC0608 adapted: Function spelled otherwise: GEN_UUID means uuid_bytes
-- 70:8: RC0608 adapted: Function spelled otherwise: CHAR_TO_UUID means uuid_to_bytes
-- 71:8: RC0606 check: Function is not in the dictionary: UUID_TO_CHAR
-- 71:21: RC0608 adapted: Function spelled otherwise: GEN_UUID means uuid_bytes
-- 72:8: RC0606 check: Function is not in the dictionary: HASH
-- 73:8: RC0608 adapted: Function spelled otherwise: LIST means string_agg
-- 74:8: RC0608 adapted: Function spelled otherwise: LIST means string_agg
-- 75:8: RC0608 adapted: Function spelled otherwise: LIST means string_agg
-- 78:8: RC0606 check: Function is not in the dictionary: RDB$GET_CONTEXT
-- 79:8: RC0606 check: Function is not in the dictionary: ROW_COUNT
-- 82:46: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 89:30: RC0605 adapted: Hint left out: PLAN ( frame NATURAL )
-- 90:8: RC0606 check: Function is not in the dictionary: RDB$DB_KEY
-- 95:40: RC0602 by hand: No counterpart on the target: ROWS in a change
-- 99:51: RC0625 check: Types compared as on the source: 'TODAY' as a date or time
-- 101:15: RC0606 check: Function is not in the dictionary: p
-- 103:11: RC0502 adapted: Storage clauses left out: OR REPLACE
