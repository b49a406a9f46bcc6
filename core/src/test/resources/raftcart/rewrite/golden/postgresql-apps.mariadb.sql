-- to: mariadb oracle
CREATE TABLE t (
    code varchar(8),
    p decimal(10,2),
    v int
) COLLATE utf8mb4_nopad_bin;
CREATE TABLE s (
    id int AUTO_INCREMENT NOT NULL PRIMARY KEY,
    code varchar(8) UNIQUE,
    at datetime(6) DEFAULT (UTC_TIMESTAMP(6)),
    tags json,
    doc json,
    ok tinyint(1) DEFAULT TRUE,
    price decimal(10,2),
    u uuid DEFAULT (UUID())
) COLLATE utf8mb4_nopad_bin;
INSERT INTO s (code, ok)
VALUES ('a', TRUE), ('b', FALSE)
ON DUPLICATE KEY UPDATE ok = VALUES(ok), price = s.price + 1
RETURNING id;
SELECT code, at
FROM (
    SELECT
        code AS code,
        at AS at,
        ROW_NUMBER() OVER (PARTITION BY code ORDER BY CASE WHEN code IS NULL THEN 1 ELSE 0 END, code, CASE WHEN at IS NULL THEN 0 ELSE 1 END, at DESC) AS row_rank_
    FROM s
) ranked_
WHERE row_rank_ = 1
ORDER BY CASE WHEN code IS NULL THEN 1 ELSE 0 END, code, CASE WHEN at IS NULL THEN 0 ELSE 1 END, at DESC;
SELECT
    COUNT(CASE WHEN ok THEN 1 END),
    CAST(AVG(CAST(price AS decimal(65,30))) AS decimal(10,1)),
    GROUP_CONCAT(code ORDER BY CASE WHEN at IS NULL THEN 1 ELSE 0 END, at SEPARATOR ', ')
FROM s
WHERE at >= UTC_TIMESTAMP(6) - INTERVAL 1 DAY;
SELECT CAST(DATE_FORMAT(at, '%Y-%m-01') AS DATETIME), COUNT(*)
FROM s
GROUP BY 1
ORDER BY 1 DESC
LIMIT 10
OFFSET 5;
SELECT code
FROM s
WHERE LOWER(code) LIKE '%x%' AND NOT code REGEXP '(?s)^((a|b).*)$' AND code REGEXP '(?i)^k';
SELECT CAST(price AS decimal(65,30)) / 3, 7 DIV 2, 7 % 2, POWER(2, 3), SQRT(16), ABS(-5), 7 DIV 2
FROM s;
SELECT
    7 DIV 2,
    CAST(7.0 AS decimal(65,30)) / 2,
    (-7) DIV 2,
    ROUND(2.5),
    ROUND(CAST(2.5 AS double)),
    TRUNCATE(-2.7, 0),
    CEIL(-2.2),
    (7 DIV 2),
    MOD(-7, 3)
FROM s;
SELECT
    CONCAT(COALESCE(code, 'none'), ' ', id),
    CONCAT(code, NULL),
    CONCAT(COALESCE(code, ''), COALESCE(CAST(NULL AS char), ''), 'x')
FROM s;
SELECT
    (TIMESTAMPDIFF(MICROSECOND, '1970-01-01', at) * 0.000001),
    (DAYOFWEEK(at) - 1),
    DATE_FORMAT(at, '%Y-%m-%d %H:%i'),
    CAST(at AS date),
    at + INTERVAL 2 HOUR,
    age(at)
FROM s;
SELECT rows_.generate_series AS generate_series
FROM (SELECT CAST(seq AS signed) AS generate_series FROM seq_1_to_5) rows_;
-- RC0602 by hand: No counterpart on the target: a function in FROM cannot be said in mariadb
-- SELECT d::date FROM generate_series('2026-01-01'::date, '2026-01-31', '1 day') d
SELECT s.*, t.v
FROM s
LEFT JOIN (SELECT MAX(price) AS v, x.code AS key_1_ FROM s x GROUP BY x.code) t ON t.key_1_ = s.code;
WITH RECURSIVE r AS (SELECT 1 AS n UNION ALL SELECT n + 1 FROM r WHERE n < 5) SELECT * FROM r;
UPDATE s
CROSS JOIN t
SET s.price = t.p
WHERE t.code = s.code AND s.ok;
DELETE FROM s WHERE EXISTS (SELECT 1 FROM t WHERE t.code = s.code) RETURNING s.id;
SELECT * FROM s WHERE ok IS NOT TRUE AND NOT ok;
SELECT *
FROM s
WHERE id IN (1, 2, 3)
    AND 'x' = ANY (
        SELECT JSON_VALUE(CONCAT('["', items_.item_, '"]'), '$[0]') AS item_
        FROM JSON_TABLE(tags, '$[*]' COLUMNS (item_ longtext collate utf8mb4_nopad_bin PATH '$', place_ FOR ORDINALITY)) items_
        WHERE tags IS NOT NULL
    );
SELECT
    CASE JSON_TYPE(JSON_EXTRACT(doc, '$.a')) WHEN 'STRING' THEN JSON_VALUE(doc, '$.a') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(doc, '$.a') END,
    CASE JSON_TYPE(JSON_EXTRACT(doc, '$.a.b')) WHEN 'STRING' THEN JSON_VALUE(doc, '$.a.b') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(doc, '$.a.b') END,
    JSON_CONTAINS(doc, '{"a":1}'),
    (JSON_CONTAINS(doc, JSON_QUOTE('a')) OR JSON_CONTAINS_PATH(doc, 'one', CONCAT('$.', JSON_QUOTE('a')))),
    JSON_LENGTH(JSON_EXTRACT(doc, '$.x'))
FROM s;
SELECT
    ROW_NUMBER() OVER (PARTITION BY code ORDER BY CASE WHEN at IS NULL THEN 1 ELSE 0 END, at) AS rn,
    LAG(price) OVER (ORDER BY CASE WHEN at IS NULL THEN 1 ELSE 0 END, at),
    SUM(price) OVER (ORDER BY CASE WHEN at IS NULL THEN 1 ELSE 0 END, at ROWS BETWEEN 2 PRECEDING AND CURRENT ROW)
FROM s;
SELECT
    CASE WHEN ok THEN 1 ELSE 0 END,
    CAST(ok AS signed),
    CASE WHEN ok THEN 'true' WHEN NOT ok THEN 'false' END,
    CAST(price > 1 AS signed)
FROM s;
SELECT *
FROM s
WHERE (code, id) > ('a', 5)
ORDER BY CASE WHEN code IS NULL THEN 1 ELSE 0 END, code, id
LIMIT 10;
-- RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- SELECT left(code, 2), right(code, 2), substr(code, 2), substring(code from 2 for 3), position('a' in code), strpos(code, 'a'), lpad(code, 5, '0'), initcap(code), reverse(code), split_part(code, '-', 2), translate(code, 'ab', 'xy'), regexp_replace(code, '[0-9]+', '', 'g'), md5(code), length(code), octet_length(code), chr(65), ascii('A'), repeat('x', 3), overlay(code placing 'z' from 1), trim(both 'x' from code), quote_literal(code) FROM s
-- RC0602 by hand: No counterpart on the target: a number of s.id that is drawn before its row
-- SELECT nextval('s_id_seq'), currval('s_id_seq'), lastval()
SELECT
    CURRENT_TIMESTAMP(6),
    CURRENT_TIMESTAMP(6),
    CURRENT_DATE,
    SYSDATE(6),
    statement_timestamp(),
    LOCALTIMESTAMP(6),
    SUBSTRING_INDEX(CURRENT_USER(), '@', 1),
    VERSION();
-- RC0602 by hand: No counterpart on the target: a difference of times
-- SELECT max(at) - min(at), date '2026-01-31' + 1, date '2026-03-01' - date '2026-02-01', at - interval '1 month' FROM s GROUP BY at
SELECT
    DATE '2026-01-31' + INTERVAL 1 MONTH,
    CAST(CONCAT(2026, '-', 1, '-', 31) AS DATE),
    DATE '2026-01-31',
    (TIMESTAMP '1970-01-01 00:00:00' + INTERVAL 0 SECOND),
    WEEK(at, 3)
FROM s;
SELECT
    ('a' COLLATE utf8mb4_nopad_bin) < 'B',
    ('a' COLLATE utf8mb4_nopad_bin) = 'A',
    '' IS NULL,
    NULL = NULL,
    1 <> 1.0,
    TRUE = TRUE;
SELECT 1, LEAST(2, 1), NULLIF('', ''), COALESCE(NULL, '');
-- RC0602 by hand: No counterpart on the target: PERCENTILE_CONT of groups, not over a window
-- SELECT bool_and(ok), bool_or(ok), array_agg(code), percentile_cont(0.5) WITHIN GROUP (ORDER BY price), stddev(price), variance(price), corr(price, id), mode() WITHIN GROUP (ORDER BY code) FROM s
SELECT code, COUNT(*) FROM s GROUP BY code WITH ROLLUP HAVING COUNT(*) > 1;
SELECT code FROM s EXCEPT ALL SELECT code FROM t;
SELECT code FROM s INTERSECT SELECT code FROM t ORDER BY 1;
SELECT * FROM s;
SELECT * FROM (SELECT * FROM s WHERE RAND() * 100 < 10) s;
SELECT * FROM s LIMIT 1 FOR UPDATE SKIP LOCKED;
SELECT x.*
FROM (
    SELECT 1 AS n, 'a' AS c
    UNION ALL
    SELECT 2 AS n, 'b' AS c
) x;
SELECT
    'a
b',
    'it''s',
    'A',
    B'101',
    B'00011111',
    1e3,
    1000;
ALTER TABLE s MODIFY COLUMN code varchar(8) COLLATE utf8mb4_nopad_bin COMMENT 'the code';
ALTER TABLE s ADD COLUMN z int DEFAULT 0 NOT NULL;
ALTER TABLE s MODIFY COLUMN price decimal(12,4);
ALTER TABLE s MODIFY COLUMN code varchar(8) COLLATE utf8mb4_nopad_bin COMMENT 'the code';
ALTER TABLE s DROP COLUMN u;
ALTER TABLE s RENAME COLUMN ok TO good;

-- findings
-- 3:64: RC0114 check: Instant becomes date and time in UTC: at: datetime(6) in UTC
-- 3:94: RC0115 check: Array becomes a JSON array: tags: array as json
-- 3:107: RC0118 check: JSON without the source's own comparison: doc: jsonb as json
-- 3:179: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 4:52: RC0614 adapted: Condition made explicit: f for a truth value
-- 4:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 5:52: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 5:58: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 5:1: RC0609 adapted: Said in other words: DISTINCT ON as a query around the query
-- 6:8: RC0609 adapted: Said in other words: FILTER as a choice inside of the aggregate
-- 6:36: RC0615 adapted: Division kept: an average with all of its digits
-- 6:94: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 7:8: RC0607 check: Function with a difference: by the clock of UTC, on the source by that of the session's zone
-- 7:8: RC0608 adapted: Function spelled otherwise: date_trunc means trunc_month
-- 8:52: RC0609 adapted: Said in other words: SIMILAR TO as a regular expression
-- 8:67: RC0609 adapted: Said in other words: a dot that matches the end of a line, too
-- 9:14: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 9:21: RC0615 adapted: Division kept: without a fraction
-- 10:10: RC0615 adapted: Division kept: without a fraction
-- 10:19: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 10:27: RC0615 adapted: Division kept: without a fraction
-- 11:59: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 12:32: RC0607 check: Function with a difference: by the clock of UTC, on the source by that of the session's zone
-- 12:54: RC0607 check: Function with a difference: by the clock of UTC, on the source by that of the session's zone
-- 12:66: RC0609 adapted: Said in other words: the mask YYYY-MM-DD HH24:MI is %Y-%m-%d %H:%i
-- 12:91: RC0607 check: Function with a difference: by the clock of UTC, on the source by that of the session's zone
-- 12:124: RC0606 check: Function is not in the dictionary: age with these 1 argument(s)
-- 13:8: RC0609 adapted: Said in other words: rows among the columns as a table
-- 13:8: RC0609 adapted: Said in other words: a series as a table of the engine
-- 14:1: RC0602 by hand: No counterpart on the target: a function in FROM cannot be said in mariadb
-- 15:35: RC0609 adapted: Said in other words: a query that reads the rows before it, as a join
-- 17:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 18:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 20:60: RC0609 adapted: Said in other words: the parts of a document as rows
-- 21:63: RC0608 adapted: Function spelled otherwise: jsonb_array_length means json_array_length
-- 21:56: RC0607 check: Function with a difference: json_has_key: a text in an array of arrays counts on the target
-- 22:54: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 22:88: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 22:119: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 23:51: RC0614 adapted: Condition made explicit: a truth value as a text
-- 24:54: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 25:1: RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- 26:1: RC0602 by hand: No counterpart on the target: a number of s.id that is drawn before its row
-- 27:67: RC0606 check: Function is not in the dictionary: statement_timestamp
-- 28:1: RC0602 by hand: No counterpart on the target: a difference of times
-- 29:73: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31
-- 29:110: RC0608 adapted: Function spelled otherwise: to_timestamp means instant_of_epoch
-- 29:127: RC0607 check: Function with a difference: by the clock of UTC, on the source by that of the session's zone
-- 29:127: RC0608 adapted: Function spelled otherwise: date_part means extract_week
-- 30:8: RC0609 adapted: Said in other words: compared letter by letter, as on the source
-- 30:19: RC0609 adapted: Said in other words: compared letter by letter, as on the source
-- 30:72: RC0614 adapted: Condition made explicit: t beside a truth value
-- 31:8: RC0609 adapted: Said in other words: greatest_skip_nulls in other words
-- 31:27: RC0609 adapted: Said in other words: least_skip_nulls in other words
-- 31:40: RC0612 check: Comparison may ignore case on one engine: nullif
-- 32:1: RC0602 by hand: No counterpart on the target: PERCENTILE_CONT of groups, not over a window
-- 35:58: RC0627 check: Said in other words, with a difference: NULLs come first on the target, last on the source
-- 37:15: RC0624 check: Sample drawn otherwise
-- 39:17: RC0609 adapted: Said in other words: the names of columns inside of the query
-- 40:38: RC0625 check: Types compared as on the source: bits, which are a number or bytes on one of the engines
-- 40:46: RC0625 check: Types compared as on the source: bits, which are a number or bytes on one of the engines
-- 41:1: RC0609 adapted: Said in other words: the whole definition of code
-- 42:1: RC0609 adapted: Said in other words: the whole definition of price
-- 42:1: RC0609 adapted: Said in other words: the whole definition of code
