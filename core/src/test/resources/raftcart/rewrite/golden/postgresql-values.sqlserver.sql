-- to: mariadb sqlserver oracle
CREATE TABLE frame (
    id int IDENTITY(1,1) NOT NULL PRIMARY KEY,
    a int,
    b decimal(9,2),
    s nvarchar(40) COLLATE Latin1_General_100_BIN2,
    tx nvarchar(max) COLLATE Latin1_General_100_BIN2,
    bo bit DEFAULT 1,
    d date,
    ts datetime2(6),
    tz datetimeoffset(6) DEFAULT SYSDATETIMEOFFSET(),
    j nvarchar(max),
    arr nvarchar(max),
    u uniqueidentifier DEFAULT NEWID(),
    f float,
    x varbinary(max)
);
SELECT * FROM frame WHERE bo = 1 AND NOT bo IS NULL;
-- RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- SELECT * FROM frame WHERE tx ILIKE '%x%' OR s ~ '^a' OR s ~* 'b$' OR s !~ 'c'
SELECT
    CAST(a AS nvarchar(max)) + '-' + CAST(b AS nvarchar(max)),
    'x' + NULL,
    s + CAST(a AS nvarchar(max))
FROM frame;
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT d + 7, d - d, ts - ts, ts + interval '1 day 2 hours', age(d), now() - ts FROM frame
SELECT
    DATEADD(month, DATEDIFF(month, 0, ts), 0),
    (DATEDIFF_BIG(microsecond, '19700101', ts) * 0.000001),
    (DATEDIFF(day, '19000107', d) % 7),
    FORMAT(ts, 'yyyy-MM-dd HH:mm'),
    YEAR(d)
FROM frame;
SELECT coalesce(a, 0), nullif(s, ''), greatest(a, 1, NULL), least(a, b) FROM frame;
SELECT
    a / 2,
    CAST(a AS decimal(38,20)) / 2.0,
    a % 3,
    POWER(CAST(a AS float), 2),
    SQRT(9),
    ABS(-5),
    (a & 3),
    (a ^ 1),
    (~a),
    (a * POWER(CAST(2 AS BIGINT), 2))
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
SELECT
    s,
    a,
    ROW_NUMBER() OVER (PARTITION BY s ORDER BY CASE WHEN ts IS NULL THEN 1 ELSE 0 END, ts),
    LAG(a) OVER (PARTITION BY s ORDER BY CASE WHEN ts IS NULL THEN 1 ELSE 0 END, ts),
    SUM(CAST(a AS bigint)) OVER (PARTITION BY s)
FROM frame;
SELECT * FROM frame ORDER BY (SELECT NULL) OFFSET 20 ROWS FETCH NEXT 10 ROWS ONLY;
SELECT TOP 5 * FROM frame ORDER BY CASE WHEN a IS NULL THEN 1 ELSE 0 END, a, s DESC;
-- RC0602 by hand: No counterpart on the target: the function json_contains with 2 argument(s) has no counterpart in sqlserver
-- SELECT j->'a', j->>'b', j#>>'{c,0}', j @> '{"a":1}', j ? 'a', jsonb_array_length(j->'x') FROM frame
SELECT *
FROM frame
CROSS APPLY (
    SELECT value AS value
    FROM OPENJSON(COALESCE(JSON_QUERY(j, '$.items'), JSON_VALUE(j, '$.items')), '$') parts_
) e;
-- RC0602 by hand: No counterpart on the target: a comparison with the items of an array
-- SELECT * FROM frame WHERE a = ANY (ARRAY[1,2,3]) AND a <> ALL ('{4,5}'::int[])
-- RC0602 by hand: No counterpart on the target: an operation on arr (an array), a type that the target does not have
-- SELECT arr[1], array_length(arr, 1), unnest(arr), 1 = ANY(arr) FROM frame
SELECT rows_.generate_series AS generate_series FROM GENERATE_SERIES(1, 5) rows_ (generate_series);
SELECT g FROM generate_series(CAST('2026-01-01' AS date), '2026-01-31', '1 day') g;
SELECT frame.id, x.c
FROM frame
OUTER APPLY (SELECT COUNT(*) AS c FROM frame y WHERE y.a = frame.a) x;
SELECT
    COALESCE(frame.id, y.id) AS id,
    frame.a,
    frame.b,
    frame.s,
    frame.tx,
    frame.bo,
    frame.d,
    frame.ts,
    frame.tz,
    frame.j,
    frame.arr,
    frame.u,
    frame.f,
    frame.x,
    y.a,
    y.b,
    y.s,
    y.tx,
    y.bo,
    y.d,
    y.ts,
    y.tz,
    y.j,
    y.arr,
    y.u,
    y.f,
    y.x
FROM frame
FULL JOIN frame y ON frame.id = y.id;
-- RC0602 by hand: No counterpart on the target: an operation on arr (an array), a type that the target does not have
-- SELECT * FROM frame NATURAL JOIN frame y
SELECT s, COUNT(*) FROM frame GROUP BY s HAVING COUNT(*) > 1 ORDER BY 2 DESC;
SELECT s, a, SUM(b) FROM frame GROUP BY GROUPING SETS (s, a, ());
SELECT *
FROM (
    SELECT 1, 'a'
    UNION ALL
    SELECT 2, 'b'
) v (id, n);
WITH r AS (
    SELECT 1 AS n
    UNION ALL
    SELECT n + 1 FROM r WHERE n < 10
)
SELECT *
FROM r;
-- RC0602 by hand: No counterpart on the target: a WITH that changes rows
-- WITH del AS (DELETE FROM frame WHERE a < 0 RETURNING *) SELECT count(*) FROM del
SELECT
    CASE WHEN bo = 1 THEN 'y' ELSE 'n' END,
    CAST(bo AS int),
    CASE WHEN NOT bo = 1 THEN 1 WHEN NOT (NOT bo = 1) THEN 0 END,
    CASE WHEN bo = 1 THEN 1 WHEN NOT bo = 1 THEN 0 END,
    CASE
        WHEN CASE WHEN bo = 1 THEN 1 ELSE 0 END = 1 THEN 1
        WHEN NOT CASE WHEN bo = 1 THEN 1 ELSE 0 END = 1 THEN 0
    END
FROM frame;
-- RC0602 by hand: No counterpart on the target: the function regexp_substring with 2 argument(s) has no counterpart in sqlserver
-- SELECT split_part(s, '-', 1), position('a' in s), strpos(s, 'a'), substring(s from 2 for 3), substring(s from '[0-9]+'), left(s, -1), right(s, 2), initcap(s), lpad(s, 5), repeat(s, 2), translate(s, 'ab', 'xy'), trim(both 'x' from s), btrim(s), md5(s), length(s), reverse(s), regexp_replace(s, 'a', 'b', 'g'), concat(s, NULL, a), concat_ws('-', s, a), quote_literal(s), chr(65), ascii(s), format('%s-%s', s, a) FROM frame
SELECT
    ROUND(b, 1),
    ROUND(b, 0, 1),
    CEILING(f),
    FLOOR(f),
    RAND(CHECKSUM(NEWID())),
    SQRT(a),
    POWER(CAST(a AS float), 2),
    LOG(f),
    LOG10(f),
    EXP(f),
    SIGN(a),
    ABS(a),
    (a % 3),
    (a / 2),
    CASE WHEN a < 0 THEN 0 WHEN a >= 10 THEN 5 + 1 WHEN a IS NOT NULL THEN FLOOR((a - 0) * 5 / (10 - 0)) + 1 END,
    CASE WHEN ABS(f - FLOOR(f)) = 0.5 THEN ROUND(f / 2, 0) * 2 ELSE ROUND(f, 0) END
FROM frame;
-- RC0602 by hand: No counterpart on the target: the function parse_number with 2 argument(s) has no counterpart in sqlserver
-- SELECT to_date('2026-01-31', 'YYYY-MM-DD'), to_timestamp('31.01.2026', 'DD.MM.YYYY'), to_timestamp(0), make_date(2026, 1, 31), current_date, localtimestamp, clock_timestamp(), to_number('12', '99') FROM frame
SELECT
    (ts AT TIME ZONE 'UTC'),
    CAST(tz AT TIME ZONE 'W. Europe Standard Time' AS datetime2),
    CAST(tz AT TIME ZONE 'UTC' AS datetime2)
FROM frame;
-- RC0602 by hand: No counterpart on the target: the function connection_id has no counterpart in sqlserver
-- SELECT current_user, session_user, current_database(), current_schema, version(), pg_backend_pid(), inet_client_addr()
-- RC0602 by hand: No counterpart on the target: the last number of a sequence cannot be said in sqlserver
-- SELECT nextval('t_id_seq'), currval('t_id_seq'), lastval(), setval('t_id_seq', 10)
-- RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- SELECT s FROM frame WHERE s LIKE 'a\_%' OR s LIKE 'b!%' ESCAPE '!' OR s SIMILAR TO '(a|b)%'
SELECT s FROM frame ORDER BY CASE WHEN s IS NULL THEN 1 ELSE 0 END, s;
-- RC0602 by hand: No counterpart on the target: an interval as a value
-- SELECT E'a\nb', U&'\0041', $$it's$$, B'101', X'1F', 1_000, '2026-01-31'::date, interval '1' day, DATE '2026-01-31'
-- RC0602 by hand: No counterpart on the target: several values as one cannot be said in sqlserver
-- SELECT (a, s) = (1, 'x'), ROW(1, 2), (a, s) IN (SELECT 1, 'x') FROM frame
-- RC0602 by hand: No counterpart on the target: different rows counted, those with NULLs among them
-- SELECT count(DISTINCT (a, s)) FROM frame
SELECT
    CASE WHEN EXISTS (SELECT 1 FROM frame) THEN 1 ELSE 0 END,
    CASE WHEN a IN (1, 2) THEN 1 WHEN NOT a IN (1, 2) THEN 0 END,
    CASE
        WHEN a BETWEEN 5 AND 1 OR a BETWEEN 1 AND 5 THEN 1
        WHEN NOT (a BETWEEN 5 AND 1 OR a BETWEEN 1 AND 5) THEN 0
    END,
    CASE WHEN CASE WHEN (a = 1 OR a IS NULL AND 1 IS NULL) THEN 1 ELSE 0 END = 0 THEN 1 ELSE 0 END
FROM frame;
SELECT a FROM frame WITH (UPDLOCK, ROWLOCK, READPAST);
SELECT * FROM (SELECT * FROM frame WHERE RAND(CHECKSUM(NEWID())) * 100 < 10) frame;
INSERT INTO frame (a, s) OUTPUT INSERTED.id, INSERTED.tz VALUES (1, 'x');
SET IDENTITY_INSERT frame ON;
MERGE INTO frame
USING (SELECT 1 AS id, 2 AS a) new_rows_
ON frame.id = new_rows_.id
WHEN MATCHED AND frame.a > 0 THEN UPDATE SET a = new_rows_.a + frame.a
WHEN NOT MATCHED THEN INSERT (id, a) VALUES (new_rows_.id, new_rows_.a);
SET IDENTITY_INSERT frame OFF;
-- RC0602 by hand: No counterpart on the target: an upsert whose rows do not bring its key
-- INSERT INTO frame (a) SELECT a FROM frame ON CONFLICT DO NOTHING
INSERT INTO frame DEFAULT VALUES;
-- RC0602 by hand: No counterpart on the target: an OUTPUT of other than columns cannot be said in sqlserver
-- UPDATE frame SET a = y.a FROM frame y WHERE y.id = frame.id + 1 RETURNING frame.id
-- RC0602 by hand: No counterpart on the target: JSON documents that are merged
-- UPDATE frame SET (a, s) = (1, 'x'), bo = NOT bo, ts = now(), j = j || '{"k":1}'
DELETE FROM frame WHERE EXISTS (SELECT 1 FROM frame y WHERE y.a = frame.a AND y.id < frame.id);
TRUNCATE TABLE frame;
MERGE INTO frame
USING (SELECT 1 AS id, 5 AS a) x
ON frame.id = x.id
WHEN MATCHED AND x.a = 0 THEN DELETE
WHEN MATCHED THEN UPDATE SET a = x.a
WHEN NOT MATCHED THEN INSERT (id, a) VALUES (x.id, x.a);
-- RC0602 by hand: No counterpart on the target: a materialized view cannot be said in sqlserver
-- CREATE MATERIALIZED VIEW mv AS SELECT a, count(*) c FROM frame GROUP BY a
-- RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in sqlserver
-- CREATE UNIQUE INDEX i ON frame (lower(s)) WHERE bo
ALTER TABLE frame ADD z int DEFAULT 0 NOT NULL;
ALTER TABLE frame ALTER COLUMN a bigint;
ALTER TABLE frame DROP COLUMN x;
ALTER TABLE frame ADD CONSTRAINT c CHECK (a > 0);
EXEC sys.sp_addextendedproperty 'MS_Description', N'x', 'SCHEMA', 'dbo', 'TABLE', 'frame', 'COLUMN', 'a';
CREATE SEQUENCE sq START WITH 10 INCREMENT BY 5 CACHE 20;
GRANT SELECT, INSERT ON frame TO observers;
CREATE TABLE p (
    d date
);

-- findings
-- 2:177: RC0115 check: Array becomes a JSON array: arr: array as NVARCHAR(MAX)
-- 2:203: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 3:27: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 4:1: RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- 6:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 7:8: RC0608 adapted: Function spelled otherwise: date_trunc means trunc_month
-- 7:90: RC0609 adapted: Said in other words: the mask YYYY-MM-DD HH24:MI is yyyy-MM-dd HH:mm
-- 7:113: RC0608 adapted: Function spelled otherwise: date_part means extract_year
-- 9:17: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 10:1: RC0602 by hand: No counterpart on the target: PERCENTILE_CONT of groups, not over a window
-- 11:49: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 11:52: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 11:1: RC0609 adapted: Said in other words: DISTINCT ON as a query around the query
-- 12:1: RC0609 adapted: Said in other words: each window where it is named
-- 12:127: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 12:50: RC0609 adapted: Said in other words: a sum of whole numbers with 64 bits
-- 14:30: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 15:1: RC0602 by hand: No counterpart on the target: the function json_contains with 2 argument(s) has no counterpart in sqlserver
-- 16:22: RC0609 adapted: Said in other words: the members of a list as a query
-- 16:22: RC0609 adapted: Said in other words: LATERAL as APPLY
-- 16:44: RC0607 check: Function with a difference: json_get: a text comes without its quotes
-- 17:1: RC0602 by hand: No counterpart on the target: a comparison with the items of an array
-- 18:1: RC0602 by hand: No counterpart on the target: an operation on arr (an array), a type that the target does not have
-- 19:8: RC0609 adapted: Said in other words: rows among the columns as a table
-- 19:8: RC0608 adapted: Function spelled otherwise: generate_series means series
-- 20:15: RC0606 check: Function is not in the dictionary: generate_series with these 3 argument(s)
-- 21:33: RC0609 adapted: Said in other words: LATERAL as APPLY
-- 22:21: RC0609 adapted: Said in other words: a join by names of columns with its condition
-- 23:1: RC0602 by hand: No counterpart on the target: an operation on arr (an array), a type that the target does not have
-- 24:40: RC0609 adapted: Said in other words: the expression for its place in GROUP BY
-- 28:14: RC0602 by hand: No counterpart on the target: a WITH that changes rows
-- 29:18: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 29:57: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 29:53: RC0614 adapted: Condition made explicit: a condition as a value
-- 29:64: RC0614 adapted: Condition made explicit: a condition as a value
-- 29:72: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 29:75: RC0609 adapted: Said in other words: IS TRUE as a choice
-- 29:75: RC0614 adapted: Condition made explicit: a condition as a value
-- 30:1: RC0602 by hand: No counterpart on the target: the function regexp_substring with 2 argument(s) has no counterpart in sqlserver
-- 31:144: RC0607 check: Function with a difference: width_bucket: the lower bound is taken to be the first
-- 32:1: RC0602 by hand: No counterpart on the target: the function parse_number with 2 argument(s) has no counterpart in sqlserver
-- 34:1: RC0602 by hand: No counterpart on the target: the function connection_id has no counterpart in sqlserver
-- 35:1: RC0602 by hand: No counterpart on the target: the last number of a sequence cannot be said in sqlserver
-- 36:1: RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- 37:10: RC0612 check: Comparison may ignore case on one engine: COLLATE C left out
-- 37:44: RC0612 check: Comparison may ignore case on one engine: COLLATE C left out
-- 37:44: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 38:1: RC0602 by hand: No counterpart on the target: an interval as a value
-- 39:1: RC0602 by hand: No counterpart on the target: several values as one cannot be said in sqlserver
-- 40:1: RC0602 by hand: No counterpart on the target: different rows counted, those with NULLs among them
-- 41:8: RC0614 adapted: Condition made explicit: a condition as a value
-- 41:40: RC0614 adapted: Condition made explicit: a condition as a value
-- 41:53: RC0614 adapted: Condition made explicit: a condition as a value
-- 41:82: RC0614 adapted: Condition made explicit: a condition as a value
-- 42:1: RC0609 adapted: Said in other words: FOR UPDATE as locks of the tables
-- 43:15: RC0624 check: Sample drawn otherwise
-- 45:1: RC0609 adapted: Said in other words: an upsert as MERGE
-- 45:1: RC0609 adapted: Said in other words: rows are allowed to bring numbers with them
-- 46:1: RC0602 by hand: No counterpart on the target: an upsert whose rows do not bring its key
-- 48:1: RC0602 by hand: No counterpart on the target: an OUTPUT of other than columns cannot be said in sqlserver
-- 49:1: RC0602 by hand: No counterpart on the target: JSON documents that are merged
-- 50:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 53:1: RC0602 by hand: No counterpart on the target: a materialized view cannot be said in sqlserver
-- 54:1: RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in sqlserver
-- 55:1: RC0627 check: Said in other words, with a difference: an index of the kind GIN is left out
-- 56:1: RC0609 adapted: Said in other words: the whole definition of a
-- 56:119: RC0627 check: Said in other words, with a difference: left out: NOT VALID
-- 57:1: RC0105 adapted: Enumeration becomes a named type: mood: its columns get a check each
-- 58:1: RC0609 adapted: Said in other words: pos: its columns get the type and the checks themselves
-- 60:1: RC0502 adapted: Storage clauses left out: OWNED BY frame.id
-- 62:1: RC0627 check: Said in other words, with a difference: the table is not partitioned (was by RANGE (d)): the target has no partitions of this kind
