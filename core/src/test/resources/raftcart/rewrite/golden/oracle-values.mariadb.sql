-- to: postgresql mariadb sqlserver
CREATE TABLE frame (
    id bigint PRIMARY KEY,
    a int,
    b decimal(9,2),
    n decimal(65,30),
    s varchar(40),
    c char(3),
    d datetime(0),
    ts datetime(6),
    tz datetime(6),
    x varbinary(16),
    cl longtext
) COLLATE utf8mb4_nopad_bin;
SELECT COALESCE(s, 'x') FROM frame;
SELECT COALESCE(a, 0) FROM frame;
SELECT COALESCE(n, 0) FROM frame;
SELECT NVL2(s, 'y', 'n') FROM frame;
SELECT CASE a WHEN 1 THEN 'one' WHEN 2 THEN 'two' ELSE 'many' END FROM frame;
SELECT CASE WHEN s IS NULL THEN 'none' ELSE s END FROM frame;
SELECT CONCAT(COALESCE(CAST(a AS char), ''), '/', COALESCE(s, '')) FROM frame;
SELECT CAST(a AS CHAR) FROM frame;
SELECT FORMAT(b, 2) FROM frame;
SELECT LPAD(FORMAT(b, 2), 11, ' ') FROM frame;
SELECT LPAD(LPAD(CAST(CAST(a AS decimal(38,0)) AS char), 5, '0'), 6, ' ') FROM frame;
SELECT DATE_FORMAT(d, '%d-%b-%Y') FROM frame;
SELECT DATE_FORMAT(d, '%W') FROM frame;
-- RC0602 by hand: No counterpart on the target: the field D of a mask
-- SELECT TO_CHAR(d, 'D') FROM frame
SELECT DATE_FORMAT(d, '%j') FROM frame;
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
-- RC0602 by hand: No counterpart on the target: the field FF3 of a mask
-- SELECT TO_CHAR(ts, 'HH24:MI:SS.FF3') FROM frame
SELECT DATE_FORMAT(d, '%Y-W%v') FROM frame;
SELECT CAST(s AS DECIMAL(65, 30)) FROM frame;
-- RC0602 by hand: No counterpart on the target: the function parse_number with 2 argument(s) has no counterpart in mariadb
-- SELECT TO_NUMBER(s, '9999.99') FROM frame
SELECT DATE '2026-01-31' FROM frame;
SELECT DATE(STR_TO_DATE(s, '%Y%m%d')) FROM frame;
SELECT TIMESTAMP '2026-01-31 22:15:00' FROM frame;
SELECT STR_TO_DATE(s, '%Y-%m-%d %H:%i:%s.%f') FROM frame;
SELECT CAST(DATE(d) AS DATETIME) FROM frame;
SELECT CAST(DATE_FORMAT(d, '%Y-%m-01') AS DATETIME) FROM frame;
SELECT DATE_ADD(CAST(DATE(d) AS DATETIME), INTERVAL (-WEEKDAY(d)) DAY) FROM frame;
SELECT TRUNC(d, 'D') FROM frame;
SELECT DATE_ADD(CAST(DATE(LOCALTIMESTAMP) AS DATETIME), INTERVAL (-1) DAY) FROM frame;
-- RC0602 by hand: No counterpart on the target: round of a date
-- SELECT ROUND(d) FROM frame
SELECT ROUND(d, 'MONTH') FROM frame;
SELECT DATE_ADD(d, INTERVAL 1 DAY) FROM frame;
SELECT DATE_ADD(d, INTERVAL 1 HOUR) FROM frame;
SELECT ((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', d) * 0.000001) - (TIMESTAMPDIFF(MICROSECOND, '1970-01-01', LOCALTIMESTAMP) * 0.000001)) / 86400
FROM frame;
SELECT ((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', LOCALTIMESTAMP) * 0.000001) - (TIMESTAMPDIFF(MICROSECOND, '1970-01-01', d) * 0.000001)) / 86400 * 24 * 60
FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of timestamps, which is an interval
-- SELECT ts - ts FROM frame
SELECT ts - INTERVAL 1 HOUR FROM frame;
SELECT TIMESTAMPDIFF(day, ts, ts) FROM frame;
SELECT d + INTERVAL 5 MINUTE FROM frame;
SELECT DATE_ADD(d, INTERVAL (-12) MONTH) FROM frame;
SELECT (PERIOD_DIFF(EXTRACT(YEAR_MONTH FROM LOCALTIMESTAMP), EXTRACT(YEAR_MONTH FROM d)) + CASE WHEN DAYOFMONTH(LOCALTIMESTAMP) = DAYOFMONTH(d) OR (DAYOFMONTH(LOCALTIMESTAMP) = DAYOFMONTH(LAST_DAY(LOCALTIMESTAMP)) AND DAYOFMONTH(d) = DAYOFMONTH(LAST_DAY(d))) THEN 0 ELSE CAST(DAYOFMONTH(LOCALTIMESTAMP) - DAYOFMONTH(d) + (TIME_TO_SEC(TIME(LOCALTIMESTAMP)) - TIME_TO_SEC(TIME(d))) / 86400.0000000000 AS DECIMAL(30, 15)) / 31 END)
FROM frame;
SELECT FLOOR(CAST((PERIOD_DIFF(EXTRACT(YEAR_MONTH FROM LOCALTIMESTAMP), EXTRACT(YEAR_MONTH FROM d)) + CASE WHEN DAYOFMONTH(LOCALTIMESTAMP) = DAYOFMONTH(d) OR (DAYOFMONTH(LOCALTIMESTAMP) = DAYOFMONTH(LAST_DAY(LOCALTIMESTAMP)) AND DAYOFMONTH(d) = DAYOFMONTH(LAST_DAY(d))) THEN 0 ELSE CAST(DAYOFMONTH(LOCALTIMESTAMP) - DAYOFMONTH(d) + (TIME_TO_SEC(TIME(LOCALTIMESTAMP)) - TIME_TO_SEC(TIME(d))) / 86400.0000000000 AS DECIMAL(30, 15)) / 31 END) AS decimal(65,30)) / 12)
FROM frame;
SELECT LAST_DAY(d) FROM frame;
SELECT DATE_ADD(d, INTERVAL (CASE LOWER(LEFT('MONDAY', 2)) WHEN 'su' THEN 1 WHEN 'mo' THEN 2 WHEN 'tu' THEN 3 WHEN 'we' THEN 4 WHEN 'th' THEN 5 WHEN 'fr' THEN 6 WHEN 'sa' THEN 7 END - DAYOFWEEK(d) + 6) % 7 + 1 DAY)
FROM frame;
SELECT YEAR(d) FROM frame;
SELECT CURRENT_TIMESTAMP(6) FROM frame;
SELECT LOCALTIMESTAMP FROM frame;
SELECT CAST(a AS decimal(65,30)) / 4 FROM frame;
SELECT CAST(a AS decimal(65,30)) / b FROM frame;
SELECT MOD(a, 7) FROM frame;
SELECT REMAINDER(a, 7) FROM frame;
SELECT POWER(a, 2) FROM frame;
SELECT ROUND(b) FROM frame;
SELECT TRUNCATE(b, 0) FROM frame;
SELECT TRUNCATE(n, -2) FROM frame;
SELECT CEIL(n) FROM frame;
SELECT GREATEST(a, b, 0) FROM frame;
SELECT LEAST(s, 'm') FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT CASE
    WHEN LOCATE(REVERSE('a'), REVERSE(s)) = 0 THEN 0
    ELSE CHAR_LENGTH(s) - LOCATE(REVERSE('a'), REVERSE(s)) - CHAR_LENGTH('a') + 2
END
FROM frame;
SELECT LOCATE('a', s, LOCATE('a', s) + 1) FROM frame;
SELECT SUBSTR(s, -3) FROM frame;
SELECT SUBSTR(s, 1, 3) FROM frame;
SELECT NULLIF(SUBSTR(s, LOCATE('-', s) + 1), '') FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT LENGTH(s) FROM frame;
SELECT LPAD(a, 8, '0') FROM frame;
SELECT RPAD(s, 10, ' ') FROM frame;
SELECT NULLIF(TRIM(LEADING '0' FROM s), '') FROM frame;
SELECT NULLIF(TRIM(s), '') FROM frame;
SELECT NULLIF(REPLACE(s, 'a', ''), '') FROM frame;
SELECT REPLACE(REPLACE(REPLACE(s, 'a', 'x'), 'b', 'y'), 'c', 'z') FROM frame;
-- RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- SELECT INITCAP(s) FROM frame
-- RC0602 by hand: No counterpart on the target: the function regexp_substring_nth with 4 argument(s) has no counterpart in mariadb
-- SELECT REGEXP_SUBSTR(s, '[^,]+', 1, 2) FROM frame
SELECT NULLIF(REGEXP_REPLACE(s, '[^0-9]', ''), '') FROM frame;
-- RC0602 by hand: No counterpart on the target: the function regexp_count with 2 argument(s) has no counterpart in mariadb
-- SELECT REGEXP_COUNT(s, 'a') FROM frame
SELECT REGEXP_INSTR(s, 'a') FROM frame;
SELECT CHAR(10 USING utf8mb4) FROM frame;
SELECT ORD(CONVERT(LEFT(s, 1) USING utf32)) FROM frame;
SELECT SOUNDEX(s) FROM frame;
SELECT HEX(x) FROM frame;
SELECT UNHEX('ff') FROM frame;
SELECT UNHEX(REPLACE(UUID(), '-', '')) FROM frame;
SELECT SUBSTRING_INDEX(CURRENT_USER(), '@', 1) FROM frame;
SELECT UID FROM frame;
SELECT CONNECTION_ID() FROM frame;
SELECT SYS_CONTEXT('USERENV', 'IP_ADDRESS') FROM frame;
SELECT ROW_NUMBER() OVER () FROM frame;
-- RC0602 by hand: No counterpart on the target: the column ROWID, a row's address
-- SELECT ROWID FROM frame
SELECT ORA_HASH(s) FROM frame;
SELECT VSIZE(s) FROM frame;
SELECT DUMP(s) FROM frame;
SELECT NANVL(n, 0) FROM frame;
SELECT (a > 1) IS NOT TRUE FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CAST(a AS char(10)) FROM frame;
SELECT CAST(d AS datetime(6)) FROM frame;
SELECT CAST(ts AS datetime(0)) FROM frame;
SELECT CAST(s AS decimal(65,30)) FROM frame;
SELECT CAST(b AS decimal(5,0)) FROM frame;
SELECT COUNT(*) FROM frame;
SELECT GROUP_CONCAT(s ORDER BY s SEPARATOR ',') FROM frame;
SELECT GROUP_CONCAT(DISTINCT s ORDER BY s SEPARATOR ',') FROM frame;
SELECT MAX(CASE WHEN rank_1_ = 1 THEN s END)
FROM (
    SELECT
        frame.*,
        DENSE_RANK() OVER (ORDER BY CASE WHEN d IS NULL THEN 0 ELSE 1 END, d DESC) AS rank_1_
    FROM frame
) frame;
SELECT CAST(a AS double) / NULLIF(SUM(a) OVER (), 0) FROM frame;
SELECT STDDEV_SAMP(CAST(a AS decimal(65,30))) FROM frame;
-- RC0602 by hand: No counterpart on the target: MEDIAN of groups, not over a window
-- SELECT MEDIAN(a) FROM frame
-- RC0602 by hand: No counterpart on the target: the function mode_of with 1 argument(s) has no counterpart in mariadb
-- SELECT STATS_MODE(a) FROM frame
SELECT GROUP_CONCAT(s SEPARATOR ',') FROM frame;
SELECT XMLTYPE(cl) FROM frame;
SELECT CASE c WHEN 'Y' THEN 1 ELSE 0 END FROM frame;
SELECT NEXTVAL(sq) FROM frame;
SELECT LASTVAL(sq) FROM frame;
DROP TABLE frame;
CREATE TABLE frame (
    id bigint PRIMARY KEY,
    a int,
    b decimal(9,2),
    n decimal(65,30),
    s varchar(40),
    c char(3),
    d datetime(0),
    ts datetime(6),
    p bigint
) COLLATE utf8mb4_nopad_bin;
SELECT a FROM frame WHERE s = NULL;
SELECT a FROM frame WHERE s <> 'x';
SELECT a FROM frame WHERE COALESCE(s, NULL) = NULL;
SELECT a FROM frame WHERE s IS NULL;
SELECT a FROM frame WHERE d = TIMESTAMP '2026-01-31 00:00:00';
SELECT a FROM frame WHERE d BETWEEN DATE '2026-01-01' AND LOCALTIMESTAMP;
SELECT a FROM frame WHERE CAST(DATE(d) AS DATETIME) = CAST(DATE(LOCALTIMESTAMP) AS DATETIME);
SELECT a FROM frame LIMIT 10;
SELECT a FROM (SELECT * FROM frame LIMIT 1) frame ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a;
SELECT *
FROM (
    SELECT a, ROW_NUMBER() OVER (ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a) AS rn
    FROM (SELECT a FROM frame ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a LIMIT 20) t_132_41
) t_132_15
WHERE rn > 10;
SELECT x.a, y.s
FROM frame x
LEFT JOIN frame y ON x.id = y.p AND y.a = 5;
WITH RECURSIVE tree_ AS (
    SELECT
        frame.*,
        1 AS depth_,
        CAST(CONCAT('/', COALESCE(frame.s, '')) AS char(4000)) AS path_1_,
        CAST(CAST(1000000000 + frame.sibling_ AS char(10)) AS char(4000)) AS place_2_
    FROM (
        SELECT frame.*, ROW_NUMBER() OVER (ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s) AS sibling_
        FROM frame
    ) frame
    WHERE p IS NULL
    UNION ALL
    SELECT
        frame.*,
        tree_.depth_ + 1,
        CAST(CONCAT(tree_.path_1_, CONCAT('/', COALESCE(frame.s, ''))) AS char(4000)),
        CAST(CONCAT(tree_.place_2_, CAST(1000000000 + frame.sibling_ AS char(10))) AS char(4000))
    FROM (
        SELECT frame.*, ROW_NUMBER() OVER (ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s) AS sibling_
        FROM frame
    ) frame
    JOIN tree_ ON tree_.id = frame.p
)
SELECT depth_ AS level, id, path_1_
FROM tree_ frame
ORDER BY CASE WHEN place_2_ IS NULL THEN 1 ELSE 0 END, place_2_;
WITH RECURSIVE tree_ (depth_) AS (
    SELECT 1 AS depth_
    UNION ALL
    SELECT depth_ + 1 FROM tree_ WHERE depth_ + 1 <= 10
)
SELECT depth_ AS level
FROM tree_;
WITH RECURSIVE tree_ (depth_) AS (
    SELECT 1 AS depth_
    UNION ALL
    SELECT depth_ + 1 FROM tree_ WHERE depth_ + 1 <= 31
)
SELECT DATE_ADD(DATE_ADD(DATE '2026-01-01', INTERVAL depth_ DAY), INTERVAL (-1) DAY)
FROM tree_;
WITH RECURSIVE tree_ AS (
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
SELECT key_1_ AS a, value_1_
FROM (
    SELECT a AS key_1_, COUNT(*) AS value_1_ FROM frame GROUP BY a
    UNION ALL
    SELECT NULL AS key_1_, COUNT(*) AS value_1_ FROM frame
) groupings_;
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
SELECT a FROM frame FOR UPDATE NOWAIT;
SELECT a FROM frame FOR UPDATE SKIP LOCKED;
SELECT a FROM (SELECT * FROM frame WHERE RAND() * 100 < 10) frame;
SELECT a FROM frame ORDER BY s;
SELECT a FROM frame ORDER BY CASE WHEN s IS NULL THEN 0 ELSE 1 END, s DESC;
SELECT a FROM frame LIMIT 5 OFFSET 5;
SELECT DISTINCT a FROM frame;
SELECT frame.*, ROW_NUMBER() OVER () FROM frame;
-- RC0602 by hand: No counterpart on the target: SELECT INTO variables
-- SELECT COUNT(*) INTO x FROM frame
SELECT a FROM frame WHERE (a, s) IN (SELECT a, s FROM frame);
SELECT a FROM frame WHERE a IN (1, 2, 3);
SELECT a FROM frame WHERE a NOT IN (SELECT p FROM frame);
SELECT a FROM frame WHERE EXISTS (SELECT NULL);
SELECT a FROM frame WHERE s REGEXP '(?i)^a';
SELECT a FROM frame WHERE s LIKE 'a\\_%' ESCAPE '\\';
-- RC0602 by hand: No counterpart on the target: a table of another database
-- SELECT a FROM frame@remote
SELECT column_value
FROM (
    SELECT 1 AS column_value
    UNION ALL
    SELECT 2 AS column_value
    UNION ALL
    SELECT 3 AS column_value
) list_;
SELECT a FROM frame WHERE d > DATE_ADD(LOCALTIMESTAMP, INTERVAL (-7) DAY);
SELECT a FROM frame WHERE d > LOCALTIMESTAMP - INTERVAL 7 DAY;
INSERT INTO frame (id, a) VALUES (NEXTVAL(sq), 1);
INSERT INTO frame (id, a) VALUES (1, 2);
INSERT INTO frame (id, a) VALUES (3, 4);
INSERT INTO frame (id, d) VALUES (1, LOCALTIMESTAMP);
INSERT INTO frame (id, s) VALUES (1, NULL);
INSERT INTO frame SELECT * FROM frame;
UPDATE frame SET s = NULL WHERE id = 1;
UPDATE frame
SET a = (SELECT a FROM frame x WHERE x.id = frame.p), b = (SELECT b FROM frame x WHERE x.id = frame.p)
WHERE EXISTS (SELECT 1 FROM frame x WHERE x.id = frame.p);
UPDATE frame x
CROSS JOIN frame y
SET x.a = y.b
WHERE x.id = y.p;
-- RC0602 by hand: No counterpart on the target: RETURNING INTO variables
-- UPDATE frame SET a = a + 1 RETURNING a INTO :x
DELETE FROM frame WHERE a = 1;
DELETE FROM frame LIMIT 99;
-- RC0602 by hand: No counterpart on the target: the column ROWID, a row's address
-- DELETE FROM frame x WHERE x.ROWID > (SELECT MIN(y.ROWID) FROM frame y WHERE x.s = y.s)
-- RC0602 by hand: No counterpart on the target: a MERGE of this form
-- MERGE INTO frame x USING (SELECT 1 id, 'a' s FROM dual) y ON (x.id = y.id) WHEN MATCHED THEN UPDATE SET x.s = y.s DELETE WHERE x.a = 0 WHEN NOT MATCHED THEN INSERT (id, s) VALUES (y.id, y.s) WHERE y.id > 0
TRUNCATE TABLE frame;
SELECT CHAR_LENGTH(s), SUBSTR(s, 1, 10) FROM frame;
SELECT
    a,
    LAG(a) OVER (ORDER BY CASE WHEN d IS NULL THEN 1 ELSE 0 END, d),
    SUM(b) OVER (PARTITION BY c ORDER BY CASE WHEN d IS NULL THEN 1 ELSE 0 END, d)
FROM frame;
-- RC0602 by hand: No counterpart on the target: IGNORE NULLS cannot be said in mariadb
-- SELECT LAST_VALUE(s IGNORE NULLS) OVER (ORDER BY d) FROM frame
-- RC0602 by hand: No counterpart on the target: an interval as a value
-- SELECT a, SUM(b) OVER (ORDER BY d RANGE BETWEEN INTERVAL '7' DAY PRECEDING AND CURRENT ROW) FROM frame
SELECT a FROM frame WHERE s = :p AND d >= :from_date;
SELECT 'it''s', 'it''s';
SELECT a FROM frame x WHERE a = (SELECT MAX(a) FROM frame WHERE c = x.c);
WITH q AS (SELECT a FROM frame) SELECT * FROM q;
-- RC0602 by hand: No counterpart on the target: CURSOR
-- SELECT CURSOR(SELECT 1 FROM dual) FROM frame
SELECT a, CASE WHEN s = 'x' THEN NULL ELSE s END FROM frame;
SELECT CONCAT(COALESCE(s, ''), 'x') FROM frame;
SELECT CHAR_LENGTH(NULL);
SELECT ((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', MAX(d)) * 0.000001) - (TIMESTAMPDIFF(MICROSECOND, '1970-01-01', MIN(d)) * 0.000001)) / 86400
FROM frame;
SELECT AVG(CAST(a AS decimal(65,30))), CAST(SUM(a) AS decimal(65,30)) / COUNT(*) FROM frame;
SELECT SUM(CASE WHEN c = 'Y' THEN 1 END) FROM frame;
SELECT COUNT(DISTINCT s), COUNT(s) FROM frame;
SELECT a FROM frame GROUP BY a HAVING COUNT(*) > 1 ORDER BY COUNT(*) DESC;

-- findings
-- 2:76: RC0110 check: Number without precision is bounded: n: number without precision as decimal(65,30)
-- 2:135: RC0114 check: Instant becomes date and time in UTC: tz: datetime(6) in UTC
-- 3:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 4:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 5:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 7:8: RC0609 adapted: Said in other words: decode in other words
-- 8:8: RC0609 adapted: Said in other words: decode in other words
-- 9:8: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 10:8: RC0608 adapted: Function spelled otherwise: TO_CHAR means text_of
-- 11:8: RC0620 check: Format mask with a difference: a number with more digits than the mask is # on the source
-- 12:8: RC0620 check: Format mask with a difference: a number with more digits than the mask is # on the source
-- 13:8: RC0620 check: Format mask with a difference: a number with more digits than the mask is # on the source
-- 13:8: RC0620 check: Format mask with a difference: a number below zero has its sign among the zeros
-- 14:8: RC0620 check: Format mask with a difference: names of days and months can differ in language, case and padding
-- 14:19: RC0609 adapted: Said in other words: the mask DD-MON-YYYY is %d-%b-%Y
-- 15:8: RC0620 check: Format mask with a difference: names of days and months can differ in language, case and padding
-- 15:19: RC0609 adapted: Said in other words: the mask Day is %W
-- 16:1: RC0602 by hand: No counterpart on the target: the field D of a mask
-- 17:19: RC0609 adapted: Said in other words: the mask DDD is %j
-- 18:1: RC0602 by hand: No counterpart on the target: the field WW of a mask
-- 19:1: RC0602 by hand: No counterpart on the target: the field J of a mask
-- 20:1: RC0602 by hand: No counterpart on the target: the field SSSSS of a mask
-- 21:1: RC0602 by hand: No counterpart on the target: the field Q of a mask
-- 22:1: RC0602 by hand: No counterpart on the target: the field RM of a mask
-- 23:1: RC0602 by hand: No counterpart on the target: the field FF3 of a mask
-- 24:19: RC0609 adapted: Said in other words: the mask YYYY"-W"IW is %Y-W%v
-- 25:8: RC0608 adapted: Function spelled otherwise: TO_NUMBER means number_of
-- 26:1: RC0602 by hand: No counterpart on the target: the function parse_number with 2 argument(s) has no counterpart in mariadb
-- 27:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 28:19: RC0609 adapted: Said in other words: the mask YYYYMMDD is %Y%m%d
-- 29:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31 22:15:00
-- 30:24: RC0609 adapted: Said in other words: the mask YYYY-MM-DD HH24:MI:SS.FF is %Y-%m-%d %H:%i:%s.%f
-- 33:8: RC0609 adapted: Said in other words: trunc_week in other words
-- 34:8: RC0606 check: Function is not in the dictionary: TRUNC with these 2 argument(s)
-- 35:23: RC0609 adapted: Said in other words: days added to a date
-- 36:1: RC0602 by hand: No counterpart on the target: round of a date
-- 37:8: RC0606 check: Function is not in the dictionary: ROUND with these 2 argument(s)
-- 38:10: RC0609 adapted: Said in other words: days added to a date
-- 39:13: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 39:10: RC0609 adapted: Said in other words: days added to a date
-- 42:1: RC0602 by hand: No counterpart on the target: a difference of timestamps, which is an interval
-- 46:8: RC0607 check: Function with a difference: add_months: the last day of a month stays the last day, and fractions of seconds are cut off
-- 48:41: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 49:8: RC0607 check: Function with a difference: last_day: the source keeps the time of day
-- 54:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 55:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 57:8: RC0606 check: Function is not in the dictionary: REMAINDER
-- 65:8: RC0608 adapted: Function spelled otherwise: INSTR means locate
-- 66:8: RC0609 adapted: Said in other words: a search from the end in the text turned round
-- 67:8: RC0609 adapted: Said in other words: locate_nth in other words
-- 69:8: RC0609 adapted: Said in other words: a start before the first character
-- 70:18: RC0608 adapted: Function spelled otherwise: INSTR means locate
-- 70:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 71:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 72:8: RC0608 adapted: Function spelled otherwise: LENGTHB means octet_length
-- 75:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 76:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 77:8: RC0608 adapted: Function spelled otherwise: REPLACE means remove
-- 77:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 78:8: RC0609 adapted: Said in other words: translate in other words
-- 79:1: RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- 80:1: RC0602 by hand: No counterpart on the target: the function regexp_substring_nth with 4 argument(s) has no counterpart in mariadb
-- 81:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 81:8: RC0607 check: Function with a difference: regexp_replace_all: letters of four bytes become question marks on MariaDB 10
-- 82:1: RC0602 by hand: No counterpart on the target: the function regexp_count with 2 argument(s) has no counterpart in mariadb
-- 84:8: RC0608 adapted: Function spelled otherwise: CHR means char_of
-- 86:8: RC0607 check: Function with a difference: soundex: the length of the code is not limited to four characters
-- 87:8: RC0608 adapted: Function spelled otherwise: RAWTOHEX means hex_of_bytes
-- 88:8: RC0608 adapted: Function spelled otherwise: HEXTORAW means bytes_of_hex
-- 89:8: RC0608 adapted: Function spelled otherwise: SYS_GUID means uuid_bytes
-- 91:8: RC0606 check: Function is not in the dictionary: UID
-- 92:8: RC0608 adapted: Function spelled otherwise: USERENV means connection_id
-- 93:8: RC0606 check: Function is not in the dictionary: SYS_CONTEXT with these 2 argument(s)
-- 94:8: RC0627 check: Said in other words, with a difference: ROWNUM as ROW_NUMBER(): rows are counted as they come
-- 95:1: RC0602 by hand: No counterpart on the target: the column ROWID, a row's address
-- 96:8: RC0606 check: Function is not in the dictionary: ORA_HASH
-- 97:8: RC0606 check: Function is not in the dictionary: VSIZE
-- 98:8: RC0606 check: Function is not in the dictionary: DUMP
-- 99:8: RC0606 check: Function is not in the dictionary: NANVL
-- 100:8: RC0609 adapted: Said in other words: not_matching in other words
-- 109:8: RC0608 adapted: Function spelled otherwise: LISTAGG means string_agg
-- 110:8: RC0608 adapted: Function spelled otherwise: LISTAGG means string_agg
-- 111:1: RC0609 adapted: Said in other words: KEEP by the rank of the rows in a query below
-- 111:46: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 112:8: RC0609 adapted: Said in other words: the share as a value divided by the sum
-- 112:8: RC0608 adapted: Function spelled otherwise: RATIO_TO_REPORT means sum
-- 113:8: RC0607 check: Function with a difference: stddev_samp: one row alone gives 0 on the source, and NULL on the target
-- 113:8: RC0615 adapted: Division kept: an average with all of its digits
-- 114:1: RC0602 by hand: No counterpart on the target: MEDIAN of groups, not over a window
-- 115:1: RC0602 by hand: No counterpart on the target: the function mode_of with 1 argument(s) has no counterpart in mariadb
-- 116:8: RC0608 adapted: Function spelled otherwise: WM_CONCAT means string_agg
-- 117:8: RC0606 check: Function is not in the dictionary: XMLTYPE
-- 122:76: RC0110 check: Number without precision is bounded: n: number without precision as decimal(65,30)
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
-- 139:1: RC0609 adapted: Said in other words: a query for each of the groupings
-- 140:21: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 141:24: RC0609 adapted: Said in other words: UNPIVOT as a union
-- 142:8: RC0605 adapted: Hint left out: /*+ INDEX(frame i1) */
-- 143:21: RC0602 by hand: No counterpart on the target: a query on rows of another time
-- 146:15: RC0624 check: Sample drawn otherwise
-- 148:30: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 151:17: RC0627 check: Said in other words, with a difference: ROWNUM as ROW_NUMBER(): rows are counted as they come
-- 152:17: RC0602 by hand: No counterpart on the target: SELECT INTO variables
-- 154:29: RC0609 adapted: Said in other words: a comparison with any of some values
-- 159:20: RC0602 by hand: No counterpart on the target: a table of another database
-- 160:26: RC0609 adapted: Said in other words: the names of columns inside of the query
-- 161:39: RC0609 adapted: Said in other words: days added to a date
-- 164:1: RC0609 adapted: Said in other words: INSERT ALL as one INSERT for each table
-- 166:38: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 168:22: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 169:27: RC0609 adapted: Said in other words: a query for each of the columns that it gives
-- 170:1: RC0609 adapted: Said in other words: an UPDATE of the tables that the query reads
-- 170:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 171:40: RC0602 by hand: No counterpart on the target: RETURNING INTO variables
-- 174:1: RC0602 by hand: No counterpart on the target: the column ROWID, a row's address
-- 175:1: RC0602 by hand: No counterpart on the target: a MERGE of this form
-- 176:1: RC0502 adapted: Storage clauses left out: DROP STORAGE
-- 177:8: RC0608 adapted: Function spelled otherwise: DBMS_LOB.GETLENGTH means char_length
-- 178:33: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 178:74: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 179:1: RC0602 by hand: No counterpart on the target: IGNORE NULLS cannot be said in mariadb
-- 180:1: RC0602 by hand: No counterpart on the target: an interval as a value
-- 185:14: RC0602 by hand: No counterpart on the target: CURSOR
-- 186:34: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 187:8: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 188:15: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 188:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 190:8: RC0615 adapted: Division kept: an average with all of its digits
-- 190:23: RC0615 adapted: Division kept: with more digits than the target gives by itself
