-- to: postgresql mariadb sqlserver
CREATE TABLE frame (
    id bigint PRIMARY KEY,
    a integer,
    b numeric(9,2),
    n numeric,
    s character varying(40),
    c character(3),
    d timestamp(0) without time zone,
    ts timestamp(6) without time zone,
    tz timestamp(6) with time zone,
    x bytea CHECK (octet_length(x) <= 16),
    cl text
);
SELECT COALESCE(s, 'x') FROM frame;
SELECT COALESCE(a, 0) FROM frame;
SELECT COALESCE(n, 0) FROM frame;
SELECT CASE WHEN s IS NOT NULL THEN 'y' ELSE 'n' END FROM frame;
SELECT CASE a WHEN 1 THEN 'one' WHEN 2 THEN 'two' ELSE 'many' END FROM frame;
SELECT CASE WHEN s IS NULL THEN 'none' ELSE s END FROM frame;
SELECT COALESCE(CAST(a AS text), '') || '/' || COALESCE(s, '') FROM frame;
SELECT CAST(a AS text) FROM frame;
SELECT TO_CHAR(b, 'FM999G990D00') FROM frame;
SELECT TO_CHAR(b, '999,990.00') FROM frame;
SELECT TO_CHAR(a, '00000') FROM frame;
SELECT TO_CHAR(d, 'DD-MON-YYYY') FROM frame;
SELECT TO_CHAR(d, 'Day') FROM frame;
SELECT TO_CHAR(d, 'D') FROM frame;
SELECT TO_CHAR(d, 'DDD') FROM frame;
SELECT TO_CHAR(d, 'WW') FROM frame;
SELECT TO_CHAR(d, 'J') FROM frame;
SELECT TO_CHAR(d, 'SSSSS') FROM frame;
SELECT TO_CHAR(d, 'Q') FROM frame;
SELECT TO_CHAR(d, 'RM') FROM frame;
SELECT TO_CHAR(ts, 'HH24:MI:SS.MS') FROM frame;
SELECT TO_CHAR(d, 'YYYY"-W"IW') FROM frame;
SELECT CAST(s AS numeric) FROM frame;
SELECT TO_NUMBER(s, '9999.99') FROM frame;
SELECT DATE '2026-01-31' FROM frame;
SELECT TO_DATE(s, 'YYYYMMDD') FROM frame;
SELECT TIMESTAMP '2026-01-31 22:15:00' FROM frame;
SELECT CAST(TO_TIMESTAMP(s, 'YYYY-MM-DD HH24:MI:SS.US') AS timestamp) FROM frame;
SELECT DATE_TRUNC('day', d) FROM frame;
SELECT DATE_TRUNC('month', d) FROM frame;
SELECT DATE_TRUNC('week', d) FROM frame;
SELECT TRUNC(d, 'D') FROM frame;
SELECT (DATE_TRUNC('day', LOCALTIMESTAMP) + (-1) * INTERVAL '1 day') FROM frame;
-- RC0602 by hand: No counterpart on the target: round of a date
-- SELECT ROUND(d) FROM frame
SELECT ROUND(d, 'MONTH') FROM frame;
SELECT (d + 1 * INTERVAL '1 day') FROM frame;
SELECT (d + 1 * INTERVAL '1 hour') FROM frame;
SELECT (EXTRACT(EPOCH FROM d) - EXTRACT(EPOCH FROM LOCALTIMESTAMP)) / 86400 FROM frame;
SELECT (EXTRACT(EPOCH FROM LOCALTIMESTAMP) - EXTRACT(EPOCH FROM d)) / 86400 * 24 * 60 FROM frame;
SELECT ts - ts FROM frame;
SELECT ts - INTERVAL '1 hour' FROM frame;
SELECT TRUNC(EXTRACT(EPOCH FROM CAST(ts AS timestamp) - CAST(ts AS timestamp)) / 86400) FROM frame;
SELECT d + INTERVAL '5 minute' FROM frame;
SELECT (d + (-12) * INTERVAL '1 month') FROM frame;
SELECT ((EXTRACT(YEAR FROM CAST(LOCALTIMESTAMP AS timestamp)) - EXTRACT(YEAR FROM CAST(d AS timestamp))) * 12 + EXTRACT(MONTH FROM CAST(LOCALTIMESTAMP AS timestamp)) - EXTRACT(MONTH FROM CAST(d AS timestamp)) + CASE WHEN EXTRACT(DAY FROM CAST(LOCALTIMESTAMP AS timestamp)) = EXTRACT(DAY FROM CAST(d AS timestamp)) OR (EXTRACT(DAY FROM CAST(LOCALTIMESTAMP AS timestamp) + INTERVAL '1 day') = 1 AND EXTRACT(DAY FROM CAST(d AS timestamp) + INTERVAL '1 day') = 1) THEN 0 ELSE (EXTRACT(EPOCH FROM CAST(LOCALTIMESTAMP AS timestamp) - DATE_TRUNC('month', CAST(LOCALTIMESTAMP AS timestamp))) - EXTRACT(EPOCH FROM CAST(d AS timestamp) - DATE_TRUNC('month', CAST(d AS timestamp)))) / 2678400 END)
FROM frame;
SELECT FLOOR(((EXTRACT(YEAR FROM CAST(LOCALTIMESTAMP AS timestamp)) - EXTRACT(YEAR FROM CAST(d AS timestamp))) * 12 + EXTRACT(MONTH FROM CAST(LOCALTIMESTAMP AS timestamp)) - EXTRACT(MONTH FROM CAST(d AS timestamp)) + CASE WHEN EXTRACT(DAY FROM CAST(LOCALTIMESTAMP AS timestamp)) = EXTRACT(DAY FROM CAST(d AS timestamp)) OR (EXTRACT(DAY FROM CAST(LOCALTIMESTAMP AS timestamp) + INTERVAL '1 day') = 1 AND EXTRACT(DAY FROM CAST(d AS timestamp) + INTERVAL '1 day') = 1) THEN 0 ELSE (EXTRACT(EPOCH FROM CAST(LOCALTIMESTAMP AS timestamp) - DATE_TRUNC('month', CAST(LOCALTIMESTAMP AS timestamp))) - EXTRACT(EPOCH FROM CAST(d AS timestamp) - DATE_TRUNC('month', CAST(d AS timestamp)))) / 2678400 END) / 12)
FROM frame;
SELECT CAST(DATE_TRUNC('month', d) + INTERVAL '1 month' - INTERVAL '1 day' AS date) FROM frame;
SELECT (d + ((CASE LOWER(LEFT('MONDAY', 2)) WHEN 'su' THEN 0 WHEN 'mo' THEN 1 WHEN 'tu' THEN 2 WHEN 'we' THEN 3 WHEN 'th' THEN 4 WHEN 'fr' THEN 5 WHEN 'sa' THEN 6 END - CAST(EXTRACT(DOW FROM d) AS integer) + 6) % 7 + 1) * INTERVAL '1 day')
FROM frame;
SELECT EXTRACT(YEAR FROM d) FROM frame;
SELECT CURRENT_TIMESTAMP FROM frame;
SELECT LOCALTIMESTAMP FROM frame;
SELECT CAST(a AS numeric) / 4 FROM frame;
SELECT a / b FROM frame;
SELECT MOD(a, 7) FROM frame;
SELECT REMAINDER(a, 7) FROM frame;
SELECT POWER(a, 2) FROM frame;
SELECT ROUND(b) FROM frame;
SELECT TRUNC(b) FROM frame;
SELECT TRUNC(n, -2) FROM frame;
SELECT CEIL(n) FROM frame;
SELECT CASE WHEN a IS NOT NULL AND b IS NOT NULL THEN GREATEST(a, b, 0) END FROM frame;
SELECT CASE WHEN s <= 'm' THEN s WHEN 'm' < s THEN 'm' END FROM frame;
SELECT STRPOS(s, 'a') FROM frame;
SELECT CASE
    WHEN STRPOS(REVERSE(s), REVERSE('a')) = 0 THEN 0
    ELSE CHAR_LENGTH(s) - STRPOS(REVERSE(s), REVERSE('a')) - CHAR_LENGTH('a') + 2
END
FROM frame;
SELECT CASE WHEN STRPOS(SUBSTR(s, STRPOS(s, 'a') + 1), 'a') = 0 THEN 0 ELSE STRPOS(SUBSTR(s, STRPOS(s, 'a') + 1), 'a') + (STRPOS(s, 'a') + 1) - 1 END
FROM frame;
SELECT CASE WHEN CHAR_LENGTH(s) >= 3 THEN RIGHT(s, 3) ELSE NULL END FROM frame;
SELECT SUBSTR(s, 1, 3) FROM frame;
SELECT NULLIF(SUBSTR(s, STRPOS(s, '-') + 1), '') FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
SELECT OCTET_LENGTH(s) FROM frame;
SELECT LPAD(CAST(a AS text), 8, '0') FROM frame;
SELECT RPAD(s, 10) FROM frame;
SELECT NULLIF(LTRIM(s, '0'), '') FROM frame;
SELECT NULLIF(BTRIM(s), '') FROM frame;
SELECT NULLIF(REPLACE(s, 'a', ''), '') FROM frame;
SELECT TRANSLATE(s, 'abc', 'xyz') FROM frame;
SELECT INITCAP(s) FROM frame;
SELECT REGEXP_SUBSTR(s, '[^,]+', 1, 2) FROM frame;
SELECT NULLIF(REGEXP_REPLACE(s, '[^0-9]', '', 'g'), '') FROM frame;
SELECT REGEXP_COUNT(s, 'a') FROM frame;
SELECT REGEXP_INSTR(s, 'a') FROM frame;
SELECT CHR(10) FROM frame;
SELECT ASCII(s) FROM frame;
-- RC0602 by hand: No counterpart on the target: the function soundex with 1 argument(s) has no counterpart in postgresql
-- SELECT SOUNDEX(s) FROM frame
SELECT UPPER(ENCODE(x, 'hex')) FROM frame;
SELECT DECODE('ff', 'hex') FROM frame;
SELECT DECODE(REPLACE(CAST(GEN_RANDOM_UUID() AS text), '-', ''), 'hex') FROM frame;
SELECT CURRENT_USER FROM frame;
SELECT UID FROM frame;
SELECT PG_BACKEND_PID() FROM frame;
SELECT SYS_CONTEXT('USERENV', 'IP_ADDRESS') FROM frame;
SELECT ROW_NUMBER() OVER () FROM frame;
SELECT ctid FROM frame;
SELECT ORA_HASH(s) FROM frame;
SELECT VSIZE(s) FROM frame;
SELECT DUMP(s) FROM frame;
SELECT NANVL(n, 0) FROM frame;
SELECT (a > 1) IS NOT TRUE FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT NULLIF(a, 0) FROM frame;
SELECT CAST(a AS character varying(10)) FROM frame;
SELECT CAST(d AS timestamp(6) without time zone) FROM frame;
SELECT CAST(DATE_TRUNC('second', ts) AS timestamp(0) without time zone) FROM frame;
SELECT CAST(s AS numeric) FROM frame;
SELECT CAST(b AS numeric(5,0)) FROM frame;
SELECT COUNT(*) FROM frame;
SELECT STRING_AGG(s, ',' ORDER BY s) FROM frame;
SELECT STRING_AGG(DISTINCT s, ',' ORDER BY s) FROM frame;
SELECT MAX(CASE WHEN rank_1_ = 1 THEN s END)
FROM (SELECT frame.*, DENSE_RANK() OVER (ORDER BY d DESC) AS rank_1_ FROM frame) frame;
SELECT CAST(a AS double precision) / NULLIF(SUM(a) OVER (), 0) FROM frame;
SELECT STDDEV_SAMP(a) FROM frame;
SELECT PERCENTILE_CONT(0.5) WITHIN GROUP (ORDER BY a) FROM frame;
SELECT MODE() WITHIN GROUP (ORDER BY a) FROM frame;
SELECT STRING_AGG(s, ',') FROM frame;
SELECT XMLTYPE(cl) FROM frame;
SELECT CASE c WHEN 'Y' THEN 1 ELSE 0 END FROM frame;
SELECT NEXTVAL('sq') FROM frame;
SELECT CURRVAL('sq') FROM frame;
DROP TABLE frame;
CREATE TABLE frame (
    id bigint PRIMARY KEY,
    a integer,
    b numeric(9,2),
    n numeric,
    s character varying(40),
    c character(3),
    d timestamp(0) without time zone,
    ts timestamp(6) without time zone,
    p bigint
);
SELECT a FROM frame WHERE s = NULL;
SELECT a FROM frame WHERE s <> 'x';
SELECT a FROM frame WHERE COALESCE(s, NULL) = NULL;
SELECT a FROM frame WHERE s IS NULL;
SELECT a FROM frame WHERE d = TIMESTAMP '2026-01-31 00:00:00';
SELECT a FROM frame WHERE d BETWEEN DATE '2026-01-01' AND LOCALTIMESTAMP;
SELECT a FROM frame WHERE DATE_TRUNC('day', d) = DATE_TRUNC('day', LOCALTIMESTAMP);
SELECT a FROM frame LIMIT 10;
SELECT a FROM (SELECT * FROM frame LIMIT 1) frame ORDER BY a;
SELECT *
FROM (
    SELECT a, ROW_NUMBER() OVER (ORDER BY a) AS rn
    FROM (SELECT a FROM frame ORDER BY a LIMIT 20) t_132_41
) t_132_15
WHERE rn > 10;
SELECT x.a, y.s
FROM frame x
LEFT JOIN frame y ON x.id = y.p AND y.a = 5;
WITH RECURSIVE tree_ AS (
    SELECT
        frame.*,
        1 AS depth_,
        CAST('/' || COALESCE(frame.s, '') AS character varying(4000)) AS path_1_,
        CAST(CAST(1000000000 + frame.sibling_ AS character varying(10)) AS character varying(4000)) AS place_2_
    FROM (SELECT frame.*, ROW_NUMBER() OVER (ORDER BY s) AS sibling_ FROM frame) frame
    WHERE p IS NULL
    UNION ALL
    SELECT
        frame.*,
        tree_.depth_ + 1,
        CAST(tree_.path_1_ || ('/' || COALESCE(frame.s, '')) AS character varying(4000)),
        CAST(tree_.place_2_ || CAST(1000000000 + frame.sibling_ AS character varying(10)) AS character varying(4000))
    FROM (SELECT frame.*, ROW_NUMBER() OVER (ORDER BY s) AS sibling_ FROM frame) frame
    JOIN tree_ ON tree_.id = frame.p
)
SELECT depth_ AS level, id, path_1_
FROM tree_ frame
ORDER BY place_2_;
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
SELECT DATE '2026-01-01' + depth_ - 1
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
SELECT a FROM frame FOR UPDATE NOWAIT;
SELECT a FROM frame FOR UPDATE SKIP LOCKED;
SELECT a FROM frame TABLESAMPLE BERNOULLI (10);
SELECT a FROM frame ORDER BY s NULLS FIRST;
SELECT a FROM frame ORDER BY s DESC;
SELECT a FROM frame LIMIT 5 OFFSET 5;
SELECT DISTINCT a FROM frame;
SELECT frame.*, ROW_NUMBER() OVER () FROM frame;
-- RC0602 by hand: No counterpart on the target: SELECT INTO variables
-- SELECT COUNT(*) INTO x FROM frame
SELECT a FROM frame WHERE (a, s) IN (SELECT a, s FROM frame);
SELECT a FROM frame WHERE a IN (1, 2, 3);
SELECT a FROM frame WHERE a NOT IN (SELECT p FROM frame);
SELECT a FROM frame WHERE EXISTS (SELECT NULL);
SELECT a FROM frame WHERE s ~* '^a';
SELECT a FROM frame WHERE s LIKE 'a\_%' ESCAPE '\';
-- RC0602 by hand: No counterpart on the target: a table of another database
-- SELECT a FROM frame@remote
SELECT column_value FROM (VALUES (1), (2), (3)) list_ (column_value);
SELECT a FROM frame WHERE d > (LOCALTIMESTAMP + (-7) * INTERVAL '1 day');
SELECT a FROM frame WHERE d > LOCALTIMESTAMP - INTERVAL '7 day';
INSERT INTO frame (id, a) VALUES (NEXTVAL('sq'), 1);
INSERT INTO frame (id, a) VALUES (1, 2);
INSERT INTO frame (id, a) VALUES (3, 4);
INSERT INTO frame (id, d) VALUES (1, LOCALTIMESTAMP);
INSERT INTO frame (id, s) VALUES (1, NULL);
INSERT INTO frame SELECT * FROM frame;
UPDATE frame SET s = NULL WHERE id = 1;
UPDATE frame SET (a, b) = (SELECT a, b FROM frame x WHERE x.id = frame.p) WHERE EXISTS (SELECT 1 FROM frame x WHERE x.id = frame.p);
UPDATE frame x SET a = y.b FROM frame y WHERE x.id = y.p;
-- RC0602 by hand: No counterpart on the target: RETURNING INTO variables
-- UPDATE frame SET a = a + 1 RETURNING a INTO :x
DELETE FROM frame WHERE a = 1;
DELETE FROM frame WHERE ctid IN (SELECT ctid FROM frame LIMIT 99);
DELETE FROM frame x WHERE x.ctid > (SELECT MIN(y.ctid) FROM frame y WHERE x.s = y.s);
MERGE INTO frame x
USING (SELECT 1 AS id, 'a' AS s) y
ON x.id = y.id
WHEN MATCHED AND x.a = 0 THEN DELETE
WHEN MATCHED THEN UPDATE SET s = y.s
WHEN NOT MATCHED AND y.id > 0 THEN INSERT (id, s) VALUES (y.id, y.s);
TRUNCATE TABLE frame;
SELECT CHAR_LENGTH(s), SUBSTR(s, 1, 10) FROM frame;
SELECT a, LAG(a) OVER (ORDER BY d), SUM(b) OVER (PARTITION BY c ORDER BY d) FROM frame;
SELECT (ARRAY_AGG(s) FILTER (WHERE s IS NOT NULL) OVER (ORDER BY d))[COUNT(s) OVER (ORDER BY d)]
FROM frame;
SELECT a, SUM(b) OVER (ORDER BY d RANGE BETWEEN INTERVAL '7 day' PRECEDING AND CURRENT ROW)
FROM frame;
SELECT a FROM frame WHERE s = :p AND d >= :from_date;
SELECT 'it''s', 'it''s';
SELECT a FROM frame x WHERE a = (SELECT MAX(a) FROM frame WHERE c = x.c);
WITH q AS (SELECT a FROM frame) SELECT * FROM q;
-- RC0602 by hand: No counterpart on the target: CURSOR
-- SELECT CURSOR(SELECT 1 FROM dual) FROM frame
SELECT a, CASE WHEN s = 'x' THEN NULL ELSE s END FROM frame;
SELECT COALESCE(s, '') || 'x' FROM frame;
SELECT CHAR_LENGTH(NULL);
SELECT (EXTRACT(EPOCH FROM MAX(d)) - EXTRACT(EPOCH FROM MIN(d))) / 86400 FROM frame;
SELECT AVG(a), CAST(SUM(a) AS numeric) / COUNT(*) FROM frame;
SELECT SUM(CASE WHEN c = 'Y' THEN 1 END) FROM frame;
SELECT COUNT(DISTINCT s), COUNT(s) FROM frame;
SELECT a FROM frame GROUP BY a HAVING COUNT(*) > 1 ORDER BY COUNT(*) DESC;

-- findings
-- 2:164: RC0109 adapted: Fixed number of bytes kept by a check: x: bytea with a check for at most 16 bytes
-- 3:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 4:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 5:8: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 6:8: RC0609 adapted: Said in other words: if_null_else in other words
-- 7:8: RC0609 adapted: Said in other words: decode in other words
-- 8:8: RC0609 adapted: Said in other words: decode in other words
-- 9:8: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 10:8: RC0608 adapted: Function spelled otherwise: TO_CHAR means text_of
-- 16:8: RC0620 check: Format mask with a difference: the field D has no counterpart
-- 23:20: RC0609 adapted: Said in other words: the mask HH24:MI:SS.FF3 is HH24:MI:SS.MS
-- 25:8: RC0608 adapted: Function spelled otherwise: TO_NUMBER means number_of
-- 27:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 29:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31 22:15:00
-- 30:24: RC0609 adapted: Said in other words: the mask YYYY-MM-DD HH24:MI:SS.FF is YYYY-MM-DD HH24:MI:SS.US
-- 34:8: RC0606 check: Function is not in the dictionary: TRUNC with these 2 argument(s)
-- 35:23: RC0609 adapted: Said in other words: days added to a date
-- 36:1: RC0602 by hand: No counterpart on the target: round of a date
-- 37:8: RC0606 check: Function is not in the dictionary: ROUND with these 2 argument(s)
-- 38:10: RC0609 adapted: Said in other words: days added to a date
-- 39:13: RC0615 adapted: Division kept: with its fraction
-- 39:10: RC0609 adapted: Said in other words: days added to a date
-- 46:8: RC0607 check: Function with a difference: add_months: the last day of a month stays the last day, and fractions of seconds are cut off
-- 49:8: RC0607 check: Function with a difference: last_day: the source keeps the time of day
-- 54:10: RC0615 adapted: Division kept: with its fraction
-- 57:8: RC0606 check: Function is not in the dictionary: REMAINDER
-- 63:8: RC0609 adapted: Said in other words: greatest in other words
-- 64:8: RC0609 adapted: Said in other words: least in other words
-- 65:8: RC0608 adapted: Function spelled otherwise: INSTR means locate
-- 66:8: RC0609 adapted: Said in other words: a search from the end in the text turned round
-- 67:8: RC0609 adapted: Said in other words: locate_nth in other words
-- 68:8: RC0609 adapted: Said in other words: a start from the end as RIGHT
-- 69:8: RC0609 adapted: Said in other words: a start before the first character
-- 70:18: RC0608 adapted: Function spelled otherwise: INSTR means locate
-- 70:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 71:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 72:8: RC0608 adapted: Function spelled otherwise: LENGTHB means octet_length
-- 73:13: RC0609 adapted: Said in other words: a number as a text
-- 75:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 76:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 77:8: RC0608 adapted: Function spelled otherwise: REPLACE means remove
-- 77:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 81:8: RC0609 adapted: Said in other words: NULL where nothing is left, as on the source
-- 86:1: RC0602 by hand: No counterpart on the target: the function soundex with 1 argument(s) has no counterpart in postgresql
-- 87:8: RC0608 adapted: Function spelled otherwise: RAWTOHEX means hex_of_bytes
-- 88:8: RC0608 adapted: Function spelled otherwise: HEXTORAW means bytes_of_hex
-- 89:8: RC0608 adapted: Function spelled otherwise: SYS_GUID means uuid_bytes
-- 91:8: RC0606 check: Function is not in the dictionary: UID
-- 92:8: RC0608 adapted: Function spelled otherwise: USERENV means connection_id
-- 93:8: RC0606 check: Function is not in the dictionary: SYS_CONTEXT with these 2 argument(s)
-- 94:8: RC0627 check: Said in other words, with a difference: ROWNUM as ROW_NUMBER(): rows are counted as they come
-- 95:8: RC0627 check: Said in other words, with a difference: a row's address: of another form, and for use within one statement only
-- 96:8: RC0606 check: Function is not in the dictionary: ORA_HASH
-- 97:8: RC0606 check: Function is not in the dictionary: VSIZE
-- 98:8: RC0606 check: Function is not in the dictionary: DUMP
-- 99:8: RC0606 check: Function is not in the dictionary: NANVL
-- 100:8: RC0609 adapted: Said in other words: not_matching in other words
-- 105:13: RC0625 check: Types compared as on the source: the second without its fraction, as newer versions of the source make it
-- 109:8: RC0608 adapted: Function spelled otherwise: LISTAGG means string_agg
-- 110:8: RC0609 adapted: Said in other words: values put together as texts
-- 111:1: RC0609 adapted: Said in other words: KEEP by the rank of the rows in a query below
-- 112:8: RC0609 adapted: Said in other words: the share as a value divided by the sum
-- 112:8: RC0608 adapted: Function spelled otherwise: RATIO_TO_REPORT means sum
-- 113:8: RC0607 check: Function with a difference: stddev_samp: one row alone gives 0 on the source, and NULL on the target
-- 115:8: RC0608 adapted: Function spelled otherwise: STATS_MODE means mode_of
-- 116:8: RC0608 adapted: Function spelled otherwise: WM_CONCAT means string_agg
-- 117:8: RC0606 check: Function is not in the dictionary: XMLTYPE
-- 123:31: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 125:34: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 125:27: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 125:40: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 127:31: RC0625 check: Types compared as on the source: '31-JAN-26' as a date or time: 2026-01-31
-- 130:1: RC0609 adapted: Said in other words: ROWNUM as a limit
-- 131:1: RC0609 adapted: Said in other words: ROWNUM as a limit before rows are grouped and sorted
-- 132:16: RC0609 adapted: Said in other words: ROWNUM as a limit
-- 132:26: RC0609 adapted: Said in other words: ROWNUM as ROW_NUMBER() in the order of the rows
-- 132:41: RC0609 adapted: Said in other words: a name for the query in FROM
-- 132:15: RC0609 adapted: Said in other words: a name for the query in FROM
-- 133:1: RC0609 adapted: Said in other words: (+) as LEFT JOIN
-- 134:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 134:19: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 135:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 136:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 136:8: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-01
-- 137:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 137:1: RC0627 check: Said in other words, with a difference: the rows come in no particular order, not depth first
-- 140:21: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 141:24: RC0609 adapted: Said in other words: UNPIVOT as a union
-- 142:8: RC0605 adapted: Hint left out: /*+ INDEX(frame i1) */
-- 143:21: RC0602 by hand: No counterpart on the target: a query on rows of another time
-- 146:15: RC0624 check: Sample drawn otherwise
-- 151:17: RC0627 check: Said in other words, with a difference: ROWNUM as ROW_NUMBER(): rows are counted as they come
-- 152:17: RC0602 by hand: No counterpart on the target: SELECT INTO variables
-- 154:29: RC0609 adapted: Said in other words: a comparison with any of some values
-- 159:20: RC0602 by hand: No counterpart on the target: a table of another database
-- 161:39: RC0609 adapted: Said in other words: days added to a date
-- 164:1: RC0609 adapted: Said in other words: INSERT ALL as one INSERT for each table
-- 166:38: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 168:22: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 170:1: RC0609 adapted: Said in other words: an UPDATE of the tables that the query reads
-- 171:40: RC0602 by hand: No counterpart on the target: RETURNING INTO variables
-- 1:1: RC0609 adapted: Said in other words: the limit of a change as a query for the rows' addresses
-- 174:27: RC0627 check: Said in other words, with a difference: a row's address: of another form, and for use within one statement only
-- 174:49: RC0627 check: Said in other words, with a difference: a row's address: of another form, and for use within one statement only
-- 176:1: RC0502 adapted: Storage clauses left out: DROP STORAGE
-- 177:8: RC0608 adapted: Function spelled otherwise: DBMS_LOB.GETLENGTH means char_length
-- 179:8: RC0609 adapted: Said in other words: IGNORE NULLS as an array of what is not NULL
-- 185:14: RC0602 by hand: No counterpart on the target: CURSOR
-- 186:34: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 187:8: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 188:15: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 188:8: RC0608 adapted: Function spelled otherwise: LENGTH means char_length
-- 190:23: RC0615 adapted: Division kept: with its fraction
