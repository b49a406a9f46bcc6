-- to: postgresql mariadb
CREATE TABLE frame (
    id int NOT NULL PRIMARY KEY,
    a int,
    b decimal(9,2),
    s varchar(40),
    c char(10),
    d date,
    tm time(4),
    ts datetime(6),
    bl longtext,
    bo tinyint(1),
    f double
) COLLATE utf8mb4_nopad_bin;
SELECT DATE_ADD(d, INTERVAL 7 DAY) FROM frame;
SELECT DATE_ADD(ts, INTERVAL (1.5 * 86400) SECOND) FROM frame;
SELECT DATEDIFF(d, d) FROM frame;
SELECT ((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', ts) * 0.000001) - (TIMESTAMPDIFF(MICROSECOND, '1970-01-01', ts) * 0.000001)) / 86400
FROM frame;
SELECT DATE_ADD(d, INTERVAL 1 DAY) FROM frame;
SELECT DATE_ADD(d, INTERVAL 1 DAY) FROM frame;
SELECT DATE_ADD(ts, INTERVAL (-3) MONTH) FROM frame;
SELECT DATEDIFF(ts, d) FROM frame;
SELECT TIMESTAMPDIFF(HOUR, DATE_FORMAT(ts, '%Y-%m-%d %H:00:00'), DATE_FORMAT(ts, '%Y-%m-%d %H:00:00'))
FROM frame;
SELECT (DAYOFWEEK(d) - 1) FROM frame;
SELECT DAYOFYEAR(d) FROM frame;
SELECT WEEK(d, 3) FROM frame;
SELECT (MICROSECOND(ts) DIV 1000) FROM frame;
SELECT CURRENT_TIMESTAMP(6) FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT CURRENT_TIMESTAMP(6) FROM frame;
SELECT LOCALTIMESTAMP(6) FROM frame;
SELECT CURRENT_DATE FROM frame;
SELECT CAST(ts AS date) FROM frame;
SELECT CAST(a AS char(10)) FROM frame;
SELECT CAST(s AS signed) FROM frame;
SELECT CAST(b AS signed) FROM frame;
SELECT a DIV 2 FROM frame;
SELECT CAST(b AS decimal(65,30)) / 3 FROM frame;
SELECT CAST(a AS decimal(65,30)) / b FROM frame;
SELECT MOD(a, 3) FROM frame;
SELECT CONCAT(s, c) FROM frame;
SELECT CONCAT(s, a) FROM frame;
SELECT CASE WHEN (LEFT(s, CHAR_LENGTH('a')) = 'a') THEN 1 END FROM frame;
SELECT CASE WHEN (LOCATE(LOWER('a'), LOWER(s)) > 0) THEN 1 END FROM frame;
SELECT CASE WHEN s REGEXP '^(a.*)$' THEN 1 END FROM frame;
SELECT CASE WHEN s LIKE 'a%' THEN 1 END FROM frame;
SELECT SUBSTR(s, 2) FROM frame;
SELECT SUBSTR(s, 2, 3) FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT CHAR_LENGTH(c) FROM frame;
SELECT LENGTH(s) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT LOCATE('a', s, 3) FROM frame;
SELECT CONCAT(LEFT(s, 2 - 1), 'x', SUBSTRING(s, 2 + 1)) FROM frame;
SELECT LPAD(s, 8, '0') FROM frame;
SELECT LPAD(s, 8, ' ') FROM frame;
SELECT TRIM(s) FROM frame;
SELECT TRIM(LEADING '0' FROM s) FROM frame;
SELECT REPLACE(s, 'a', 'b') FROM frame;
SELECT REVERSE(s) FROM frame;
SELECT LEFT(s, 3) FROM frame;
SELECT RIGHT(s, 3) FROM frame;
SELECT CHAR(65 USING utf8mb4) FROM frame;
SELECT ORD(CONVERT(LEFT(s, 1) USING utf32)) FROM frame;
SELECT IF(a > 1, 'x', 'y') FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CASE a WHEN 1 THEN 'x' ELSE 'y' END FROM frame;
SELECT GREATEST(a, 5) FROM frame;
SELECT LEAST(a, 5) FROM frame;
SELECT ROUND(b, 1) FROM frame;
SELECT TRUNCATE(b, 0) FROM frame;
SELECT TRUNCATE(b, 1) FROM frame;
SELECT CEIL(b) FROM frame;
SELECT CAST(a & 3 AS SIGNED) FROM frame;
SELECT (a << 2) FROM frame;
SELECT RAND() FROM frame;
SELECT NEXTVAL(g) FROM frame;
SELECT NEXTVAL(g) FROM frame;
SELECT UNHEX(REPLACE(UUID(), '-', '')) FROM frame;
SELECT UNHEX(REPLACE(s, '-', '')) FROM frame;
SELECT UUID_TO_CHAR(UNHEX(REPLACE(UUID(), '-', ''))) FROM frame;
SELECT HASH(s) FROM frame;
SELECT GROUP_CONCAT(s SEPARATOR ',') FROM frame;
SELECT GROUP_CONCAT(s SEPARATOR ';') FROM frame;
SELECT GROUP_CONCAT(DISTINCT s SEPARATOR ',') FROM frame;
SELECT COUNT(DISTINCT a) FROM frame;
SELECT SUBSTRING_INDEX(CURRENT_USER(), '@', 1) FROM frame;
SELECT `RDB$GET_CONTEXT`('SYSTEM', 'ENGINE_VERSION') FROM frame;
SELECT ROW_COUNT FROM frame;
SELECT CASE WHEN NOT (a <=> 1) THEN 1 END FROM frame;
SELECT CASE WHEN bo IS TRUE THEN 1 END FROM frame;
SELECT a FROM frame ORDER BY a LIMIT 5 OFFSET 10;
SELECT a FROM frame LIMIT 5;
SELECT a FROM frame LIMIT 5 OFFSET 5;
SELECT a FROM frame WHERE (LEFT(s, CHAR_LENGTH('K')) = 'K');
SELECT a FROM frame WHERE (LOCATE(LOWER('idge'), LOWER(s)) > 0);
SELECT a FROM frame ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s;
SELECT a FROM frame FOR UPDATE;
SELECT DISTINCT a FROM frame;
SELECT `RDB$DB_KEY`, a FROM frame;
SELECT CURRENT_TIMESTAMP(6);
INSERT INTO frame (id, a) VALUES (1, 2) ON DUPLICATE KEY UPDATE a = VALUES(a);
INSERT INTO frame (id) VALUES (1) RETURNING id, a;
DELETE FROM frame WHERE id = 1 RETURNING a;
-- RC0602 by hand: No counterpart on the target: ROWS in a change
-- UPDATE frame SET a = a + 1 ORDER BY id ROWS 5
INSERT INTO frame (id, a)
SELECT x.id, x.a FROM (SELECT id, a FROM frame) x
ON DUPLICATE KEY UPDATE a = VALUES(a);
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
-- RC0602 by hand: No counterpart on the target: a function in FROM cannot be said in mariadb
-- SELECT * FROM p(1)
SELECT 0; SELECT 0;
DROP TABLE IF EXISTS z;
CREATE TABLE z (
    a int
);
CREATE SEQUENCE g;
SELECT 0;
ALTER SEQUENCE g RESTART WITH 11;
CREATE INDEX i ON frame (a DESC);
-- RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- CREATE INDEX i2 ON frame COMPUTED BY (UPPER(s))
ALTER TABLE frame ADD COLUMN x int;
ALTER TABLE frame DROP COLUMN s;
ALTER TABLE frame MODIFY COLUMN a bigint;
ALTER TABLE frame RENAME COLUMN b TO bb;
SELECT 0;
ALTER TABLE frame MODIFY COLUMN a bigint COMMENT 'x'

-- findings
-- 2:174: RC0116 check: NaN and infinity are refused: f: double
-- 3:10: RC0609 adapted: Said in other words: days added to a date
-- 4:11: RC0609 adapted: Said in other words: days added to a date
-- 7:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_days
-- 8:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_days
-- 9:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_months
-- 10:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_days
-- 11:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_hours
-- 16:8: RC0609 adapted: Said in other words: the date 'now'
-- 17:8: RC0609 adapted: Said in other words: the date 'today'
-- 25:10: RC0615 adapted: Division kept: without a fraction
-- 26:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 26:10: RC0607 check: Function with a difference: the source rounds a quotient to few digits
-- 27:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 27:10: RC0607 check: Function with a difference: the source rounds a quotient to few digits
-- 29:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 33:20: RC0609 adapted: Said in other words: SIMILAR TO as a regular expression
-- 38:8: RC0617 check: Trailing blanks in comparisons: the blanks at the end of a column of fixed length count on the source only
-- 38:8: RC0608 adapted: Function spelled otherwise: CHARACTER_LENGTH means char_length
-- 40:8: RC0608 adapted: Function spelled otherwise: POSITION means locate
-- 42:8: RC0608 adapted: Function spelled otherwise: POSITION means locate
-- 52:8: RC0608 adapted: Function spelled otherwise: ASCII_CHAR means char_of
-- 53:8: RC0608 adapted: Function spelled otherwise: ASCII_VAL means ascii
-- 57:8: RC0609 adapted: Said in other words: decode in other words
-- 58:8: RC0608 adapted: Function spelled otherwise: MAXVALUE means greatest
-- 59:8: RC0608 adapted: Function spelled otherwise: MINVALUE means least
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
-- 87:30: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 89:30: RC0605 adapted: Hint left out: PLAN ( frame NATURAL )
-- 90:8: RC0606 check: Function is not in the dictionary: RDB$DB_KEY
-- 92:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 95:40: RC0602 by hand: No counterpart on the target: ROWS in a change
-- 96:1: RC0623 check: Upsert with a difference: MERGE as an upsert; there must be a unique key on the columns by which rows match
-- 96:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 99:51: RC0625 check: Types compared as on the source: 'TODAY' as a date or time
-- 101:1: RC0602 by hand: No counterpart on the target: a function in FROM cannot be said in mariadb
-- 103:11: RC0502 adapted: Storage clauses left out: OR REPLACE
-- 107:1: RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- 108:1: RC0609 adapted: Said in other words: the whole definition of a
-- 109:11: RC0609 adapted: Said in other words: the whole definition of a
