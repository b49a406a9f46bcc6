-- to: mariadb sqlserver oracle
CREATE TABLE frame (
    id int AUTO_INCREMENT NOT NULL PRIMARY KEY,
    a int,
    b decimal(9,2),
    s varchar(40),
    tx longtext,
    bo tinyint(1) DEFAULT TRUE,
    d date,
    ts datetime(6),
    tz datetime(6) DEFAULT (UTC_TIMESTAMP(6)),
    j json,
    arr json,
    u uuid DEFAULT (UUID()),
    f double,
    x longblob
) COLLATE utf8mb4_nopad_bin;
SELECT * FROM frame WHERE bo AND NOT bo IS NULL;
SELECT *
FROM frame
WHERE LOWER(tx) LIKE '%x%' OR s REGEXP '^a' OR s REGEXP '(?i)b$' OR s NOT REGEXP 'c';
SELECT CONCAT(CAST(a AS char), '-', b), CONCAT('x', NULL), CONCAT(s, a) FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT d + 7, d - d, ts - ts, ts + interval '1 day 2 hours', age(d), now() - ts FROM frame
SELECT
    CAST(DATE_FORMAT(ts, '%Y-%m-01') AS DATETIME),
    (TIMESTAMPDIFF(MICROSECOND, '1970-01-01', ts) * 0.000001),
    (DAYOFWEEK(d) - 1),
    DATE_FORMAT(ts, '%Y-%m-%d %H:%i'),
    YEAR(d)
FROM frame;
SELECT
    COALESCE(a, 0),
    NULLIF(s, ''),
    GREATEST(COALESCE(a, 1), 1),
    LEAST(COALESCE(a, b), COALESCE(b, a))
FROM frame;
SELECT
    a DIV 2,
    CAST(a AS decimal(65,30)) / 2.0,
    a % 3,
    POWER(a, 2),
    SQRT(9),
    ABS(-5),
    CAST(a & 3 AS SIGNED),
    CAST(a ^ 1 AS SIGNED),
    CAST(~a AS SIGNED),
    (a << 2)
FROM frame;
-- RC0602 by hand: No counterpart on the target: PERCENTILE_CONT of groups, not over a window
-- SELECT count(*) FILTER (WHERE bo), string_agg(s, ', ' ORDER BY s), array_agg(a), bool_and(bo), sum(a)::int, avg(a), percentile_cont(0.5) WITHIN GROUP (ORDER BY b) FROM frame
SELECT s, a
FROM (
    SELECT
        s AS s,
        a AS a,
        ROW_NUMBER() OVER (PARTITION BY s ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s, CASE WHEN ts IS NULL THEN 0 ELSE 1 END, ts DESC) AS row_rank_,
        ts AS order_4,
        ts AS order_5
    FROM frame
) ranked_
WHERE row_rank_ = 1
ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s, CASE WHEN order_4 IS NULL THEN 0 ELSE 1 END, order_5 DESC;
SELECT s, a, ROW_NUMBER() OVER w, LAG(a) OVER w, SUM(a) OVER (PARTITION BY s)
FROM frame
WINDOW w AS (PARTITION BY s ORDER BY CASE WHEN ts IS NULL THEN 1 ELSE 0 END, ts);
SELECT * FROM frame LIMIT 10 OFFSET 20;
SELECT * FROM frame ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a, s DESC LIMIT 5;
SELECT
    JSON_EXTRACT(j, '$.a'),
    CASE JSON_TYPE(JSON_EXTRACT(j, '$.b')) WHEN 'STRING' THEN JSON_VALUE(j, '$.b') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(j, '$.b') END,
    CASE JSON_TYPE(JSON_EXTRACT(j, '$.c[0]')) WHEN 'STRING' THEN JSON_VALUE(j, '$.c[0]') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(j, '$.c[0]') END,
    JSON_CONTAINS(j, '{"a":1}'),
    (JSON_CONTAINS(j, JSON_QUOTE('a')) OR JSON_CONTAINS_PATH(j, 'one', CONCAT('$.', JSON_QUOTE('a')))),
    JSON_LENGTH(JSON_EXTRACT(j, '$.x'))
FROM frame;
SELECT * FROM frame, JSON_TABLE(JSON_EXTRACT(j, '$.items'), '$[*]' COLUMNS (value json PATH '$')) e;
SELECT *
FROM frame
WHERE a IN (1, 2, 3)
    AND a <> ALL (
        SELECT items_.item_
        FROM JSON_TABLE('[4, 5]', '$[*]' COLUMNS (item_ int PATH '$', place_ FOR ORDINALITY)) items_
    );
SELECT
    CAST(JSON_VALUE(arr, '$[0]') AS signed),
    CASE WHEN JSON_LENGTH(arr) > 0 THEN JSON_LENGTH(arr) END,
    rows_.unnest AS unnest,
    CASE
        WHEN arr IS NOT NULL THEN 1 = ANY (
            SELECT items_.item_
            FROM JSON_TABLE(arr, '$[*]' COLUMNS (item_ int PATH '$', place_ FOR ORDINALITY)) items_
            WHERE arr IS NOT NULL
        )
    END
FROM frame, JSON_TABLE(arr, '$[*]' COLUMNS (unnest int PATH '$')) rows_;
SELECT rows_.generate_series AS generate_series
FROM (SELECT CAST(seq AS signed) AS generate_series FROM seq_1_to_5) rows_;
-- RC0602 by hand: No counterpart on the target: a function in FROM cannot be said in mariadb
-- SELECT g FROM generate_series('2026-01-01'::date, '2026-01-31', '1 day') g
SELECT frame.id, COALESCE(x.total_1_, 0) AS c
FROM frame
LEFT JOIN (SELECT COUNT(*) AS total_1_, y.a AS key_1_ FROM frame y GROUP BY y.a) x ON x.key_1_ = frame.a;
-- RC0602 by hand: No counterpart on the target: FULL JOIN cannot be said in mariadb
-- SELECT * FROM frame FULL JOIN frame y USING (id)
SELECT * FROM frame NATURAL JOIN frame y;
SELECT s, count(*) FROM frame GROUP BY 1 HAVING count(*) > 1 ORDER BY 2 DESC;
SELECT key_1_ AS s, key_2_ AS a, value_1_ AS sum
FROM (
    SELECT s AS key_1_, NULL AS key_2_, SUM(b) AS value_1_ FROM frame GROUP BY s
    UNION ALL
    SELECT NULL AS key_1_, a AS key_2_, SUM(b) AS value_1_ FROM frame GROUP BY a
    UNION ALL
    SELECT NULL AS key_1_, NULL AS key_2_, SUM(b) AS value_1_ FROM frame
) groupings_;
SELECT *
FROM (
    SELECT 1 AS id, 'a' AS n
    UNION ALL
    SELECT 2 AS id, 'b' AS n
) v;
WITH RECURSIVE r AS (SELECT 1 n UNION ALL SELECT n + 1 FROM r WHERE n < 10) SELECT * FROM r;
-- RC0602 by hand: No counterpart on the target: a WITH that changes rows
-- WITH del AS (DELETE FROM frame WHERE a < 0 RETURNING *) SELECT count(*) FROM del
SELECT CASE WHEN bo THEN 'y' ELSE 'n' END, CAST(bo AS signed), NOT bo, bo = TRUE, bo IS TRUE
FROM frame;
-- RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- SELECT split_part(s, '-', 1), position('a' in s), strpos(s, 'a'), substring(s from 2 for 3), substring(s from '[0-9]+'), left(s, -1), right(s, 2), initcap(s), lpad(s, 5), repeat(s, 2), translate(s, 'ab', 'xy'), trim(both 'x' from s), btrim(s), md5(s), length(s), reverse(s), regexp_replace(s, 'a', 'b', 'g'), concat(s, NULL, a), concat_ws('-', s, a), quote_literal(s), chr(65), ascii(s), format('%s-%s', s, a) FROM frame
SELECT
    ROUND(b, 1),
    TRUNCATE(b, 0),
    CEIL(f),
    FLOOR(f),
    RAND(),
    SQRT(a),
    POWER(a, 2),
    LN(f),
    LOG10(f),
    EXP(f),
    SIGN(a),
    ABS(a),
    MOD(a, 3),
    (a DIV 2),
    CASE WHEN a < 0 THEN 0 WHEN a >= 10 THEN 5 + 1 WHEN a IS NOT NULL THEN FLOOR((a - 0) * 5 / (10 - 0)) + 1 END,
    ROUND(f)
FROM frame;
-- RC0602 by hand: No counterpart on the target: the function parse_number with 2 argument(s) has no counterpart in mariadb
-- SELECT to_date('2026-01-31', 'YYYY-MM-DD'), to_timestamp('31.01.2026', 'DD.MM.YYYY'), to_timestamp(0), make_date(2026, 1, 31), current_date, localtimestamp, clock_timestamp(), to_number('12', '99') FROM frame
SELECT ts, CONVERT_TZ(tz, '+00:00', 'Europe/Berlin'), tz FROM frame;
SELECT
    SUBSTRING_INDEX(CURRENT_USER(), '@', 1),
    SUBSTRING_INDEX(USER(), '@', 1),
    DATABASE(),
    DATABASE(),
    VERSION(),
    CONNECTION_ID(),
    inet_client_addr();
SELECT NEXTVAL(t_id_seq), LASTVAL(t_id_seq), LAST_INSERT_ID(), SETVAL(t_id_seq, 10);
SELECT s FROM frame WHERE s LIKE 'a\\_%' OR s LIKE 'b!%' ESCAPE '!' OR s REGEXP '(?s)^((a|b).*)$';
SELECT s FROM frame ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s;
-- RC0602 by hand: No counterpart on the target: an interval as a value
-- SELECT E'a\nb', U&'\0041', $$it's$$, B'101', X'1F', 1_000, '2026-01-31'::date, interval '1' day, DATE '2026-01-31'
SELECT (a, s) = (1, 'x'), (1, 2), (a, s) IN (SELECT 1, 'x') FROM frame;
-- RC0602 by hand: No counterpart on the target: different rows counted, those with NULLs among them
-- SELECT count(DISTINCT (a, s)) FROM frame
SELECT
    EXISTS (SELECT 1 FROM frame),
    a IN (1, 2),
    a BETWEEN 5 AND 1 OR a BETWEEN 1 AND 5,
    NOT (a <=> 1)
FROM frame;
SELECT a FROM frame FOR UPDATE SKIP LOCKED;
SELECT * FROM (SELECT * FROM frame WHERE RAND() * 100 < 10) frame;
INSERT INTO frame (a, s) VALUES (1, 'x') RETURNING id, tz;
INSERT INTO frame (id, a)
VALUES (1, 2)
ON DUPLICATE KEY UPDATE a = CASE WHEN frame.a > 0 THEN VALUES(a) + frame.a ELSE frame.a END;
INSERT IGNORE INTO frame (a) SELECT a FROM frame;
INSERT INTO frame (id) VALUES (DEFAULT);
-- RC0602 by hand: No counterpart on the target: RETURNING of an UPDATE cannot be said in mariadb
-- UPDATE frame SET a = y.a FROM frame y WHERE y.id = frame.id + 1 RETURNING frame.id
-- RC0602 by hand: No counterpart on the target: JSON documents that are merged
-- UPDATE frame SET (a, s) = (1, 'x'), bo = NOT bo, ts = now(), j = j || '{"k":1}'
DELETE FROM frame WHERE EXISTS (SELECT 1 FROM frame y WHERE y.a = frame.a AND y.id < frame.id);
TRUNCATE TABLE frame;
-- RC0602 by hand: No counterpart on the target: a MERGE of this form
-- MERGE INTO frame USING (SELECT 1 id, 5 a) x ON frame.id = x.id WHEN MATCHED AND x.a = 0 THEN DELETE WHEN MATCHED THEN UPDATE SET a = x.a WHEN NOT MATCHED THEN INSERT (id, a) VALUES (x.id, x.a)
-- RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
-- CREATE MATERIALIZED VIEW mv AS SELECT a, count(*) c FROM frame GROUP BY a
-- RC0602 by hand: No counterpart on the target: a unique index with a condition
-- CREATE UNIQUE INDEX i ON frame (lower(s)) WHERE bo
ALTER TABLE frame ADD COLUMN z int DEFAULT 0 NOT NULL;
ALTER TABLE frame MODIFY COLUMN a bigint;
ALTER TABLE frame DROP COLUMN x;
ALTER TABLE frame ADD CONSTRAINT c CHECK (a > 0);
ALTER TABLE frame MODIFY COLUMN a bigint COMMENT 'x';
CREATE SEQUENCE sq START WITH 10 INCREMENT BY 5 CACHE 20;
GRANT SELECT, INSERT ON frame TO observers;
CREATE TABLE p (
    d date
);

-- findings
-- 2:138: RC0114 check: Instant becomes date and time in UTC: tz: datetime(6) in UTC
-- 2:168: RC0118 check: JSON without the source's own comparison: j: jsonb as json
-- 2:177: RC0115 check: Array becomes a JSON array: arr: array as json
-- 2:203: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 2:222: RC0116 check: NaN and infinity are refused: f: double
-- 6:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 7:8: RC0608 adapted: Function spelled otherwise: date_trunc means trunc_month
-- 7:90: RC0609 adapted: Said in other words: the mask YYYY-MM-DD HH24:MI is %Y-%m-%d %H:%i
-- 7:113: RC0608 adapted: Function spelled otherwise: date_part means extract_year
-- 8:39: RC0609 adapted: Said in other words: greatest_skip_nulls in other words
-- 8:61: RC0609 adapted: Said in other words: least_skip_nulls in other words
-- 9:10: RC0615 adapted: Division kept: without a fraction
-- 9:17: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 9:70: RC0607 check: Function with a difference: a number below zero is shifted with its sign on one engine only
-- 10:1: RC0602 by hand: No counterpart on the target: PERCENTILE_CONT of groups, not over a window
-- 11:49: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 11:52: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 11:1: RC0609 adapted: Said in other words: DISTINCT ON as a query around the query
-- 12:127: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 14:30: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 15:26: RC0607 check: Function with a difference: place 0 of what is no list is NULL on the source, and itself on the target
-- 15:63: RC0608 adapted: Function spelled otherwise: jsonb_array_length means json_array_length
-- 15:56: RC0607 check: Function with a difference: json_has_key: a text in an array of arrays counts on the target
-- 16:22: RC0609 adapted: Said in other words: the parts of a document as rows
-- 17:71: RC0627 check: Said in other words, with a difference: an array as a JSON array
-- 17:71: RC0609 adapted: Said in other words: the parts of a document as rows
-- 18:38: RC0609 adapted: Said in other words: rows among the columns as a table
-- 18:38: RC0609 adapted: Said in other words: the parts of a document as rows
-- 18:16: RC0608 adapted: Function spelled otherwise: array_length means array_last
-- 18:59: RC0609 adapted: Said in other words: the parts of a document as rows
-- 19:8: RC0609 adapted: Said in other words: rows among the columns as a table
-- 19:8: RC0609 adapted: Said in other words: a series as a table of the engine
-- 20:1: RC0602 by hand: No counterpart on the target: a function in FROM cannot be said in mariadb
-- 21:43: RC0609 adapted: Said in other words: a query that reads the rows before it, as a join
-- 22:1: RC0602 by hand: No counterpart on the target: FULL JOIN cannot be said in mariadb
-- 25:1: RC0609 adapted: Said in other words: a query for each of the groupings
-- 26:15: RC0609 adapted: Said in other words: the names of columns inside of the query
-- 28:14: RC0602 by hand: No counterpart on the target: a WITH that changes rows
-- 30:1: RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- 31:144: RC0607 check: Function with a difference: width_bucket: the lower bound is taken to be the first
-- 32:1: RC0602 by hand: No counterpart on the target: the function parse_number with 2 argument(s) has no counterpart in mariadb
-- 33:47: RC0607 check: Function with a difference: a time zone by its name: NULL on a server whose tables of time zones are empty
-- 34:83: RC0608 adapted: Function spelled otherwise: pg_backend_pid means connection_id
-- 34:101: RC0606 check: Function is not in the dictionary: inet_client_addr
-- 35:50: RC0607 check: Function with a difference: last_identity: the last number of any sequence on the source, of a numbered column on others
-- 35:50: RC0607 check: Function with a difference: after an INSERT of several rows it is the first number on one engine and the last on the other
-- 35:50: RC0608 adapted: Function spelled otherwise: lastval means last_identity
-- 35:61: RC0608 adapted: Function spelled otherwise: setval means set_sequence
-- 35:61: RC0607 check: Function with a difference: set_sequence: a sequence goes on only, never back
-- 36:73: RC0609 adapted: Said in other words: SIMILAR TO as a regular expression
-- 36:84: RC0609 adapted: Said in other words: a dot that matches the end of a line, too
-- 37:10: RC0612 check: Comparison may ignore case on one engine: COLLATE C left out
-- 37:44: RC0612 check: Comparison may ignore case on one engine: COLLATE C left out
-- 37:44: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 38:1: RC0602 by hand: No counterpart on the target: an interval as a value
-- 40:1: RC0602 by hand: No counterpart on the target: different rows counted, those with NULLs among them
-- 42:1: RC0609 adapted: Said in other words: a lock of all tables without their names
-- 43:15: RC0624 check: Sample drawn otherwise
-- 45:111: RC0609 adapted: Said in other words: the condition of an upsert as a choice of values
-- 45:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 46:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 47:1: RC0609 adapted: Said in other words: a row of defaults by the default of one column
-- 48:1: RC0602 by hand: No counterpart on the target: RETURNING of an UPDATE cannot be said in mariadb
-- 49:1: RC0602 by hand: No counterpart on the target: JSON documents that are merged
-- 50:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 52:1: RC0602 by hand: No counterpart on the target: a MERGE of this form
-- 53:1: RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
-- 54:1: RC0602 by hand: No counterpart on the target: a unique index with a condition
-- 55:1: RC0627 check: Said in other words, with a difference: an index of the kind GIN is left out
-- 56:1: RC0609 adapted: Said in other words: the whole definition of a
-- 56:119: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 57:1: RC0105 adapted: Enumeration becomes a named type: mood: its columns get a check each
-- 58:1: RC0609 adapted: Said in other words: pos: its columns get the type and the checks themselves
-- 59:1: RC0609 adapted: Said in other words: the whole definition of a
-- 60:1: RC0502 adapted: Storage clauses left out: OWNED BY frame.id
-- 62:1: RC0627 check: Said in other words, with a difference: the table is not partitioned (was by RANGE (d)): no partitions are known here
