-- to: postgresql mariadb
CREATE TABLE frame (
    id bigint AUTO_INCREMENT,
    a int,
    b decimal(9,2),
    s varchar(40),
    d date,
    ts datetime(6),
    tz datetime(6),
    v json,
    bo tinyint(1),
    f double,
    UNIQUE (id)
) COLLATE utf8mb4_nopad_bin;
SELECT IF(a > 1, 'x', 'y') FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT NVL2(s, 'y', 'n') FROM frame;
SELECT COALESCE(a, 0) FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CASE a WHEN 1 THEN 'x' ELSE 'y' END FROM frame;
SELECT CASE WHEN b = 0 THEN 0 ELSE ROUND(CAST(a AS decimal(65,30)) / b, 6) END FROM frame;
SELECT CASE WHEN COALESCE(b, 0) = 0 THEN 0 ELSE ROUND(CAST(a AS decimal(65,30)) / b, 6) END
FROM frame;
SELECT ROUND(CAST(a AS decimal(65,30)) / 2, 6) FROM frame;
SELECT ROUND(CAST(a AS decimal(65,30)) / b, 6) FROM frame;
SELECT CASE WHEN (a <=> b) THEN 1 END FROM frame;
SELECT DATE_ADD(d, INTERVAL 1 DAY) FROM frame;
SELECT DATE_ADD(ts, INTERVAL 1 MONTH) FROM frame;
SELECT DATEDIFF(ts, d) FROM frame;
SELECT ((YEAR(ts) - YEAR(d)) * 12 + MONTH(ts) - MONTH(d)) FROM frame;
SELECT (DATEDIFF(DATE_SUB(ts, INTERVAL WEEKDAY(ts) DAY), DATE_SUB(d, INTERVAL WEEKDAY(d) DAY)) DIV 7)
FROM frame;
SELECT TIMESTAMPDIFF(HOUR, DATE_FORMAT(ts, '%Y-%m-%d %H:00:00'), DATE_FORMAT(ts, '%Y-%m-%d %H:00:00'))
FROM frame;
SELECT TIMESTAMPDIFF(SECOND, DATE_FORMAT(ts, '%Y-%m-%d %H:%i:%s'), DATE_FORMAT(ts, '%Y-%m-%d %H:%i:%s'))
FROM frame;
SELECT DATE_ADD(ts, INTERVAL 1 HOUR) FROM frame;
SELECT CAST(DATE_FORMAT(ts, '%Y-%m-01') AS DATETIME) FROM frame;
SELECT DATE_ADD(CAST(DATE(d) AS DATETIME), INTERVAL (-WEEKDAY(d)) DAY) FROM frame;
SELECT CAST(DATE_FORMAT(d, '%Y-%m-01') AS DATETIME) FROM frame;
SELECT LAST_DAY(d) FROM frame;
SELECT LAST_DAY(d, 'year') FROM frame;
SELECT YEAR(d) FROM frame;
SELECT (TIMESTAMPDIFF(MICROSECOND, '1970-01-01', ts) * 0.000001) FROM frame;
SELECT (DAYOFWEEK(d) - 1) FROM frame;
SELECT (DAYOFWEEK(d) - 1) FROM frame;
SELECT (WEEKDAY(d) + 1) FROM frame;
SELECT WEEK(d, 3) FROM frame;
SELECT WEEK(d, 3) FROM frame;
SELECT DAYNAME(d) FROM frame;
SELECT MONTHNAME(d) FROM frame;
SELECT DATE '2026-01-31' FROM frame;
SELECT DATE '2026-01-31' FROM frame;
SELECT TIMESTAMP '2026-01-31 10:00:00' FROM frame;
SELECT (TIMESTAMP '1970-01-01 00:00:00' + INTERVAL a SECOND) FROM frame;
-- RC0602 by hand: No counterpart on the target: a cast that gives NULL for what cannot be converted
-- SELECT TRY_TO_DATE(s) FROM frame
SELECT CASE WHEN s REGEXP '^ *[-+]?([0-9]+[.]?[0-9]*|[.][0-9]+) *$' THEN CAST(s AS decimal(38,0)) END
FROM frame;
SELECT CASE WHEN s REGEXP '^ *[-+]?([0-9]+[.]?[0-9]*|[.][0-9]+) *$' THEN CAST(s AS decimal(38,0)) END
FROM frame;
SELECT DATE_FORMAT(ts, '%Y-%m-%d %H:%i:%s') FROM frame;
-- RC0602 by hand: No counterpart on the target: the mask 999.00
-- SELECT TO_CHAR(b, '999.00') FROM frame
SELECT CAST(a AS CHAR) FROM frame;
SELECT CAST(s AS decimal(10,2)) FROM frame;
SELECT CAST(s AS decimal(10,2)) FROM frame;
SELECT CAST(s AS DOUBLE) FROM frame;
SELECT LOWER(TRIM(s)) IN ('t', 'tr', 'tru', 'true', 'y', 'ye', 'yes', 'on', '1') FROM frame;
SELECT CAST(s AS decimal(38,0)) FROM frame;
SELECT CAST(a AS char) FROM frame;
SELECT CAST('1' AS decimal(10,2)) FROM frame;
SELECT CAST(CASE JSON_TYPE(JSON_EXTRACT(v, '$.name')) WHEN 'STRING' THEN JSON_VALUE(v, '$.name') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(v, '$.name') END AS char)
FROM frame;
SELECT CAST(CASE JSON_TYPE(JSON_EXTRACT(v, '$.items[0].id')) WHEN 'STRING' THEN JSON_VALUE(v, '$.items[0].id') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(v, '$.items[0].id') END AS decimal(38,0))
FROM frame;
SELECT JSON_EXTRACT(v, '$.name') FROM frame;
SELECT JSON_EXTRACT(v, '$.a.b') FROM frame;
SELECT JSON_EXTRACT(JSON_COMPACT('{"a":1}'), '$.a') FROM frame;
SELECT JSON_OBJECT('a', 1, 'b', 2) FROM frame;
SELECT JSON_ARRAY(1, 2) FROM frame;
SELECT JSON_LENGTH(v) FROM frame;
SELECT ARRAY_CONTAINS(CAST('x' AS char), v) FROM frame;
-- RC0602 by hand: No counterpart on the target: the function type_name with 1 argument(s) has no counterpart in mariadb
-- SELECT TYPEOF(v) FROM frame
SELECT CASE WHEN CHAR_LENGTH(s) - CHAR_LENGTH(REPLACE(s, '-', '')) >= (2 - 1) * CHAR_LENGTH('-') THEN SUBSTRING_INDEX(SUBSTRING_INDEX(s, '-', 2), '-', -1) WHEN s IS NOT NULL THEN '' END
FROM frame;
SELECT SPLIT(s, ',') FROM frame;
SELECT STRTOK(s, ',', 1) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT CASE WHEN (LOCATE('a', s) > 0) THEN 1 END FROM frame;
SELECT CASE WHEN (LEFT(s, CHAR_LENGTH('a')) = 'a') THEN 1 END FROM frame;
SELECT CASE WHEN (RIGHT(s, CHAR_LENGTH('a')) = 'a') THEN 1 END FROM frame;
SELECT LEFT(s, 3) FROM frame;
SELECT RIGHT(s, 3) FROM frame;
SELECT SUBSTR(s, 2, 3) FROM frame;
SELECT RIGHT(s, 3) FROM frame;
SELECT LPAD(s, 5, '0') FROM frame;
SELECT REGEXP_REPLACE(s, '[^0-9]', '') FROM frame;
SELECT NULLIF(REGEXP_SUBSTR(s, '[0-9]+'), '') FROM frame;
SELECT CASE WHEN s REGEXP '^(a.*)$' THEN 1 END FROM frame;
SELECT CASE WHEN s REGEXP '^(a.*)$' THEN 1 END FROM frame;
-- RC0602 by hand: No counterpart on the target: the function regexp_count with 2 argument(s) has no counterpart in mariadb
-- SELECT REGEXP_COUNT(s, 'a') FROM frame
SELECT CASE WHEN LOWER(s) LIKE LOWER('A%') THEN 1 END FROM frame;
SELECT CASE WHEN s LIKE 'a%' OR s LIKE 'b%' THEN 1 END FROM frame;
-- RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- SELECT INITCAP(s) FROM frame
SELECT REPLACE(REPLACE(REPLACE(s, 'a', 'x'), 'b', 'y'), 'c', 'z') FROM frame;
SELECT MD5(s) FROM frame;
SELECT SHA2(s, 256) FROM frame;
SELECT SHA2(s, 256) FROM frame;
SELECT UUID() FROM frame;
SELECT RANDOM() FROM frame;
SELECT UNIFORM(1, 10, RANDOM()) FROM frame;
SELECT SEQ4() FROM frame;
SELECT HASH(s) FROM frame;
SELECT ROUND(b, 1) FROM frame;
SELECT TRUNCATE(b, 1) FROM frame;
SELECT FLOOR(b, 1) FROM frame;
SELECT a * a FROM frame;
SELECT (SIGN(a) * POWER(ABS(a), 1e0 / 3)) FROM frame;
SELECT GREATEST(a, b) FROM frame;
SELECT LEAST_IGNORE_NULLS(a, b) FROM frame;
SELECT GROUP_CONCAT(s ORDER BY s SEPARATOR ',') FROM frame;
SELECT JSON_ARRAYAGG(s ORDER BY s) FROM frame;
SELECT JSON_OBJECTAGG(s, v) FROM frame;
SELECT COUNT(CASE WHEN a > 1 THEN 1 END) FROM frame;
-- RC0602 by hand: No counterpart on the target: MEDIAN of groups, not over a window
-- SELECT MEDIAN(a) FROM frame
-- RC0602 by hand: No counterpart on the target: the function mode_of with 1 argument(s) has no counterpart in mariadb
-- SELECT MODE(a) FROM frame
SELECT COUNT(DISTINCT s) FROM frame;
SELECT MIN(s) FROM frame;
SELECT MAX(bo) FROM frame;
-- RC0602 by hand: No counterpart on the target: the function max_by with 2 argument(s) has no counterpart in mariadb
-- SELECT MAX_BY(s, a) FROM frame
SELECT CAST(a AS double) / NULLIF(SUM(a) OVER (), 0) FROM frame;
SELECT CONDITIONAL_TRUE_EVENT(a > 1) OVER (ORDER BY CASE WHEN id IS NULL THEN 1 ELSE 0 END, id)
FROM frame;
SELECT CASE WHEN a < 0 THEN 0 WHEN a >= 10 THEN 5 + 1 WHEN a IS NOT NULL THEN FLOOR((a - 0) * 5 / (10 - 0)) + 1 END
FROM frame;
SELECT CURRENT_TIMESTAMP(6) FROM frame;
SELECT UTC_TIMESTAMP(6) FROM frame;
SELECT CURRENT_TIMESTAMP(6) FROM frame;
SELECT CURRENT_WAREHOUSE() FROM frame;
SELECT CONVERT_TZ(ts, '+00:00', 'Europe/Berlin') FROM frame;
SELECT HAVERSINE(1, 2, 3, 4) FROM frame;
SELECT s, a
FROM (
    SELECT
        s AS s,
        a AS a,
        ROW_NUMBER() OVER (PARTITION BY s ORDER BY CASE WHEN a IS NULL THEN 0 ELSE 1 END, a DESC) AS row_rank_3
    FROM frame
) ranked_
WHERE row_rank_3 = 1;
SELECT f.value
FROM frame, JSON_TABLE(JSON_EXTRACT(v, '$.items'), '$[*]' COLUMNS (value json PATH '$')) f;
SELECT a AS x, a + 1 AS y FROM frame WHERE a > 1;
SELECT id, b, s, d, ts, tz, v, bo, f FROM frame;
-- RC0602 by hand: No counterpart on the target: a star with RENAME
-- SELECT * RENAME (a AS b1) FROM frame
SELECT a FROM frame LIMIT 5;
SELECT a FROM (SELECT * FROM frame WHERE RAND() * 100 < 10) frame;
SELECT column1, column2
FROM (
    SELECT 1 AS column1, 'a' AS column2
    UNION ALL
    SELECT 2 AS column1, 'b' AS column2
) t_127_20;
SELECT a, COUNT(*) FROM frame GROUP BY a;
SELECT a FROM frame ORDER BY CASE WHEN `ALL` IS NULL THEN 1 ELSE 0 END, `ALL`;
SELECT *
FROM (
    SELECT
        id,
        a,
        d,
        ts,
        tz,
        v,
        bo,
        f,
        SUM(CASE WHEN s = 'x' THEN b END) AS x,
        SUM(CASE WHEN s = 'y' THEN b END) AS y
    FROM frame
    GROUP BY id, a, d, ts, tz, v, bo, f
) p;
SELECT a FROM frame
EXCEPT
SELECT b FROM frame;
-- RC0602 by hand: No counterpart on the target: a query on rows of another time
-- SELECT a FROM frame AT (TIMESTAMP => '2026-01-01'::timestamp)
-- RC0602 by hand: No counterpart on the target: a function in FROM cannot be said in mariadb
-- SELECT a FROM TABLE(GENERATOR(ROWCOUNT => 10))
-- RC0602 by hand: No counterpart on the target: INSERT OVERWRITE
-- INSERT OVERWRITE INTO frame (a) SELECT b FROM frame
INSERT INTO frame (v) SELECT JSON_COMPACT('{"a":1}');
UPDATE frame
CROSS JOIN frame x
SET frame.a = x.b
WHERE x.id = frame.id;
DELETE FROM frame WHERE EXISTS (SELECT 1 FROM frame x WHERE x.id = frame.id);
-- RC0602 by hand: No counterpart on the target: a MERGE of this form
-- MERGE INTO frame USING (SELECT 1 id, 'a' s) x ON frame.id = x.id WHEN MATCHED AND x.s = 'd' THEN DELETE WHEN MATCHED THEN UPDATE SET s = x.s WHEN NOT MATCHED THEN INSERT (id, s) VALUES (x.id, x.s)
DROP TABLE IF EXISTS u;
CREATE TABLE u (
    a bigint
);
CREATE TABLE w AS
SELECT * FROM frame;
CREATE TEMPORARY TABLE x AS SELECT * FROM frame;

-- findings
-- 2:105: RC0119 check: Numbers may lose digits: ts: datetime(6): fractions of a second lose 3 digit(s)
-- 2:123: RC0119 check: Numbers may lose digits: tz: datetime(6): fractions of a second lose 3 digit(s)
-- 2:123: RC0114 check: Instant becomes date and time in UTC: tz: datetime(6) in UTC
-- 2:163: RC0116 check: NaN and infinity are refused: f: double
-- 1:1: RC0609 adapted: Said in other words: a key for id, which is numbered, of frame
-- 4:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 6:8: RC0609 adapted: Said in other words: zero_if_null in other words
-- 7:8: RC0609 adapted: Said in other words: null_if_zero in other words
-- 8:8: RC0609 adapted: Said in other words: decode in other words
-- 9:8: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 9:8: RC0615 adapted: Division kept: rounded as on the source
-- 10:8: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 10:8: RC0615 adapted: Division kept: rounded as on the source
-- 11:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 11:10: RC0615 adapted: Division kept: rounded as on the source
-- 12:10: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 12:10: RC0615 adapted: Division kept: rounded as on the source
-- 13:18: RC0608 adapted: Function spelled otherwise: EQUAL_NULL means null_safe_equal
-- 14:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_days
-- 15:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_months
-- 16:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_days
-- 17:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_months
-- 18:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_weeks
-- 19:8: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_hours
-- 20:8: RC0608 adapted: Function spelled otherwise: datediff means diff_seconds
-- 21:8: RC0608 adapted: Function spelled otherwise: dateadd means add_hours
-- 22:8: RC0608 adapted: Function spelled otherwise: DATE_TRUNC means trunc_month
-- 23:8: RC0609 adapted: Said in other words: trunc_week in other words
-- 26:8: RC0606 check: Function is not in the dictionary: LAST_DAY with these 2 argument(s)
-- 27:8: RC0608 adapted: Function spelled otherwise: DATE_PART means extract_year
-- 28:8: RC0608 adapted: Function spelled otherwise: DATE_PART means extract_epoch
-- 30:8: RC0608 adapted: Function spelled otherwise: DAYOFWEEK means extract_day_of_week
-- 31:8: RC0608 adapted: Function spelled otherwise: DAYOFWEEKISO means extract_iso_day_of_week
-- 32:8: RC0608 adapted: Function spelled otherwise: WEEK means extract_iso_week
-- 33:8: RC0608 adapted: Function spelled otherwise: WEEKOFYEAR means extract_iso_week
-- 34:8: RC0607 check: Function with a difference: day_name: three letters
-- 35:8: RC0607 check: Function with a difference: month_name: three letters
-- 37:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 39:8: RC0608 adapted: Function spelled otherwise: TO_TIMESTAMP_NTZ means utc_of_epoch
-- 40:1: RC0602 by hand: No counterpart on the target: a cast that gives NULL for what cannot be converted
-- 41:8: RC0627 check: Said in other words, with a difference: NULL for what is no number; one that is too great for the type is refused
-- 42:8: RC0627 check: Said in other words, with a difference: NULL for what is no number; one that is too great for the type is refused
-- 43:20: RC0609 adapted: Said in other words: the mask YYYY-MM-DD HH24:MI:SS is %Y-%m-%d %H:%i:%s
-- 44:1: RC0602 by hand: No counterpart on the target: the mask 999.00
-- 45:8: RC0608 adapted: Function spelled otherwise: TO_VARCHAR means text_of
-- 48:8: RC0608 adapted: Function spelled otherwise: TO_DOUBLE means float_of
-- 49:8: RC0609 adapted: Said in other words: the words for truth values
-- 54:21: RC0607 check: Function with a difference: place 0 of what is no list is NULL on the source, and itself on the target
-- 57:8: RC0608 adapted: Function spelled otherwise: PARSE_JSON means json_of_text
-- 58:8: RC0608 adapted: Function spelled otherwise: OBJECT_CONSTRUCT means json_object
-- 59:8: RC0608 adapted: Function spelled otherwise: ARRAY_CONSTRUCT means json_array
-- 60:8: RC0608 adapted: Function spelled otherwise: ARRAY_SIZE means json_array_length
-- 61:8: RC0606 check: Function is not in the dictionary: ARRAY_CONTAINS
-- 62:1: RC0602 by hand: No counterpart on the target: the function type_name with 1 argument(s) has no counterpart in mariadb
-- 64:8: RC0606 check: Function is not in the dictionary: SPLIT
-- 65:8: RC0606 check: Function is not in the dictionary: STRTOK
-- 66:8: RC0608 adapted: Function spelled otherwise: CHARINDEX means locate
-- 67:8: RC0608 adapted: Function spelled otherwise: POSITION means locate
-- 70:18: RC0608 adapted: Function spelled otherwise: STARTSWITH means starts_with
-- 71:18: RC0608 adapted: Function spelled otherwise: ENDSWITH means ends_with
-- 75:8: RC0609 adapted: Said in other words: a start from the end as RIGHT
-- 77:8: RC0607 check: Function with a difference: regexp_replace_all: letters of four bytes become question marks on MariaDB 10
-- 78:8: RC0607 check: Function with a difference: regexp_substring: letters of four bytes become question marks on MariaDB 10
-- 81:1: RC0602 by hand: No counterpart on the target: the function regexp_count with 2 argument(s) has no counterpart in mariadb
-- 84:1: RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- 85:8: RC0609 adapted: Said in other words: translate in other words
-- 89:8: RC0608 adapted: Function spelled otherwise: UUID_STRING means new_uuid
-- 90:8: RC0606 check: Function is not in the dictionary: RANDOM
-- 91:8: RC0606 check: Function is not in the dictionary: UNIFORM
-- 91:23: RC0606 check: Function is not in the dictionary: RANDOM
-- 92:8: RC0606 check: Function is not in the dictionary: SEQ4
-- 93:8: RC0606 check: Function is not in the dictionary: HASH
-- 96:8: RC0606 check: Function is not in the dictionary: FLOOR with these 2 argument(s)
-- 97:8: RC0609 adapted: Said in other words: square in other words
-- 100:8: RC0606 check: Function is not in the dictionary: LEAST_IGNORE_NULLS
-- 101:8: RC0608 adapted: Function spelled otherwise: LISTAGG means string_agg
-- 102:8: RC0607 check: Function with a difference: array_agg: Snowflake leaves NULLs out
-- 102:44: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 102:44: RC0627 check: Said in other words, with a difference: NULLs come first on the target, last on the source
-- 102:8: RC0607 check: Function with a difference: array_agg: an array as a JSON array
-- 103:8: RC0608 adapted: Function spelled otherwise: OBJECT_AGG means json_object_agg
-- 104:8: RC0609 adapted: Said in other words: count_if in other words
-- 105:1: RC0602 by hand: No counterpart on the target: MEDIAN of groups, not over a window
-- 106:1: RC0602 by hand: No counterpart on the target: the function mode_of with 1 argument(s) has no counterpart in mariadb
-- 109:8: RC0608 adapted: Function spelled otherwise: BOOLOR_AGG means some
-- 110:1: RC0602 by hand: No counterpart on the target: the function max_by with 2 argument(s) has no counterpart in mariadb
-- 111:8: RC0609 adapted: Said in other words: the share as a value divided by the sum
-- 111:8: RC0608 adapted: Function spelled otherwise: RATIO_TO_REPORT means sum
-- 112:8: RC0606 check: Function is not in the dictionary: CONDITIONAL_TRUE_EVENT
-- 112:53: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 113:8: RC0607 check: Function with a difference: width_bucket: the lower bound is taken to be the first
-- 117:8: RC0606 check: Function is not in the dictionary: CURRENT_WAREHOUSE
-- 118:32: RC0607 check: Function with a difference: a time zone by its name: NULL on a server whose tables of time zones are empty
-- 119:8: RC0606 check: Function is not in the dictionary: HAVERSINE
-- 120:75: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 120:1: RC0609 adapted: Said in other words: QUALIFY as a query around the query
-- 121:36: RC0627 check: Said in other words, with a difference: of the function's columns only the values, and those of an array alone
-- 121:36: RC0609 adapted: Said in other words: the parts of a document as rows
-- 122:16: RC0609 adapted: Said in other words: x as the expression of that name in the same SELECT
-- 122:44: RC0609 adapted: Said in other words: x as the expression of that name in the same SELECT
-- 123:8: RC0609 adapted: Said in other words: the columns that a star does not leave out
-- 124:10: RC0602 by hand: No counterpart on the target: a star with RENAME
-- 126:15: RC0624 check: Sample drawn otherwise
-- 127:20: RC0609 adapted: Said in other words: the names that the columns of VALUES have on the source
-- 127:20: RC0609 adapted: Said in other words: the names of columns inside of the query
-- 128:1: RC0609 adapted: Said in other words: GROUP BY ALL with the items that it means
-- 129:30: RC0606 check: Function is not in the dictionary: ALL
-- 129:30: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 130:21: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 132:21: RC0602 by hand: No counterpart on the target: a query on rows of another time
-- 133:1: RC0602 by hand: No counterpart on the target: a function in FROM cannot be said in mariadb
-- 134:18: RC0602 by hand: No counterpart on the target: INSERT OVERWRITE
-- 135:30: RC0608 adapted: Function spelled otherwise: PARSE_JSON means json_of_text
-- 136:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 137:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 138:1: RC0602 by hand: No counterpart on the target: a MERGE of this form
-- 139:1: RC0502 adapted: Storage clauses left out: TRANSIENT
-- 139:1: RC0502 adapted: Storage clauses left out: OR REPLACE
-- 139:1: RC0502 adapted: Storage clauses left out: CLUSTER BY (a) DATA_RETENTION_TIME_IN_DAYS = 1
-- 139:38: RC0123 adapted: Decimal number as a whole number of 64 bits: a: int of 38 digits as a whole number of 64 bits
-- 140:1: RC0627 check: Said in other words, with a difference: left out: keys and defaults of the table that is cloned
