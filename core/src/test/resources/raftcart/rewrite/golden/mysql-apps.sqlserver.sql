-- to: postgresql sqlserver
CREATE TABLE star (
    id int IDENTITY(1,1) NOT NULL PRIMARY KEY,
    name nvarchar(40) NOT NULL UNIQUE,
    kind nvarchar(10),
    tags nvarchar(80),
    last datetime2(0),
    mag decimal(5,2),
    x int,
    a int,
    b int,
    hits int DEFAULT 0
);
CREATE TABLE obs (
    id int PRIMARY KEY,
    star_id int,
    good bit,
    taken datetime2(0),
    begun datetime2(0),
    ended datetime2(0),
    flux decimal(9,3)
);
CREATE TABLE frame (
    id int PRIMARY KEY,
    path nvarchar(200)
);
CREATE TABLE t (
    id int,
    a int,
    b int,
    s nvarchar(20),
    d date,
    doc nvarchar(max)
);
CREATE TABLE a (id int, k int, x int);
CREATE TABLE b (id int, k int, y int);
CREATE TABLE c (id int, k int, z int);
SELECT TOP 5 s.name, COUNT(DISTINCT o.id) AS n, SUM(IIF(o.good = 1, 1, 0)) AS g
FROM star s
LEFT JOIN obs o ON o.star_id = s.id AND o.taken BETWEEN '2026-01-01' AND '2026-01-31'
GROUP BY s.id, s.name
HAVING COUNT(DISTINCT o.id) > 2
ORDER BY n DESC, s.name;
SELECT FORMAT(taken, 'yyyy-MM') AS ym, COUNT(*)
FROM obs
GROUP BY FORMAT(taken, 'yyyy-MM')
ORDER BY ym;
SELECT *
FROM obs
WHERE taken >= DATEADD(day, -7, CAST(GETDATE() AS DATE))
    AND taken < DATEADD(day, 1, CAST(GETDATE() AS DATE));
SELECT * FROM obs WHERE CAST(taken AS DATE) = '2026-01-31' AND DATEPART(hour, taken) >= 22;
SELECT (DATEDIFF(second, begun, ended) / 60) AS m FROM obs;
SELECT
    (DATEDIFF(year, begun, ended) - CASE WHEN begun <= ended AND SUBSTRING(CONVERT(varchar(27), CAST(begun AS datetime2), 126), 6, 22) > SUBSTRING(CONVERT(varchar(27), CAST(ended AS datetime2), 126), 6, 22) THEN 1 WHEN begun > ended AND SUBSTRING(CONVERT(varchar(27), CAST(begun AS datetime2), 126), 6, 22) < SUBSTRING(CONVERT(varchar(27), CAST(ended AS datetime2), 126), 6, 22) THEN -1 ELSE 0 END),
    (DATEDIFF(month, begun, ended) - CASE WHEN begun <= ended AND SUBSTRING(CONVERT(varchar(27), CAST(begun AS datetime2), 126), 9, 19) > SUBSTRING(CONVERT(varchar(27), CAST(ended AS datetime2), 126), 9, 19) THEN 1 WHEN begun > ended AND SUBSTRING(CONVERT(varchar(27), CAST(begun AS datetime2), 126), 9, 19) < SUBSTRING(CONVERT(varchar(27), CAST(ended AS datetime2), 126), 9, 19) THEN -1 ELSE 0 END)
FROM obs;
SELECT COALESCE(SUM(flux), 0) FROM obs WHERE 0 <> 0;
SELECT name FROM star WHERE name LIKE 'a%' OR name LIKE '%\_x' ESCAPE '\';
-- RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- SELECT name FROM star WHERE name REGEXP '^[a-c]'
SELECT CONCAT_WS(', ', name, NULL, kind), 'x' + NULL FROM star;
-- RC0602 by hand: No counterpart on the target: the function position_in_list with 2 argument(s) has no counterpart in sqlserver
-- SELECT FIND_IN_SET('b', tags), FIELD(kind, 'a', 'b') FROM star ORDER BY FIELD(kind, 'giant', 'dwarf')
-- RC0602 by hand: No counterpart on the target: the function substring_before with 3 argument(s) has no counterpart in sqlserver
-- SELECT SUBSTRING_INDEX(path, '/', -1), SUBSTRING_INDEX(path, '/', 2) FROM frame
-- RC0602 by hand: No counterpart on the target: the session's variable @rn
-- SELECT id, @rn := @rn + 1 FROM star
SELECT MAX(id) FROM star WHERE id NOT IN (SELECT star_id FROM obs);
-- RC0602 by hand: No counterpart on the target: different texts put together with a separator
-- SELECT GROUP_CONCAT(DISTINCT kind ORDER BY kind DESC) FROM star
MERGE INTO star
USING (SELECT 'Vega' AS name, 'A' AS kind) new_rows_
ON star.name = new_rows_.name
WHEN MATCHED THEN UPDATE SET kind = new_rows_.kind, hits = star.hits + 1
WHEN NOT MATCHED THEN INSERT (name, kind) VALUES (new_rows_.name, new_rows_.kind);
SET IDENTITY_INSERT star ON;
MERGE INTO star
USING (SELECT 1 AS id, 'Vega' AS name) new_rows_
ON star.id = new_rows_.id
WHEN NOT MATCHED THEN INSERT (id, name) VALUES (new_rows_.id, new_rows_.name);
SET IDENTITY_INSERT star OFF;
SET IDENTITY_INSERT star ON;
MERGE INTO star
USING (SELECT 1 AS id, 'Vega' AS name) new_rows_
ON star.id = new_rows_.id
WHEN MATCHED THEN UPDATE SET name = new_rows_.name, kind = DEFAULT, tags = DEFAULT, last = DEFAULT, mag = DEFAULT, x = DEFAULT, a = DEFAULT, b = DEFAULT, hits = DEFAULT
WHEN NOT MATCHED THEN INSERT (id, name) VALUES (new_rows_.id, new_rows_.name);
SET IDENTITY_INSERT star OFF;
UPDATE s SET last = o.taken FROM star s, obs o WHERE o.star_id = s.id AND o.good = 1;
DELETE s FROM star s LEFT JOIN obs o ON o.star_id = s.id WHERE o.id IS NULL;
-- RC0602 by hand: No counterpart on the target: ORDER BY in a change cannot be said in sqlserver
-- DELETE FROM obs WHERE taken < NOW() - INTERVAL 90 DAY ORDER BY taken LIMIT 1000
UPDATE obs SET good = CASE WHEN NOT good = 1 THEN 1 WHEN NOT (NOT good = 1) THEN 0 END WHERE id = 5;
SELECT * FROM star WHERE a = 1 AND b = 2 OR a = 3 AND b = 4;
SELECT id, name FROM star WHERE id = '5' OR name = 5;
SELECT
    ROUND(CAST(5 AS DECIMAL(38, 10)) / 2, 4),
    5 / 2,
    5 % 2,
    (-5) % 3,
    ROUND(CAST(1 AS DECIMAL(38, 10)) / NULLIF(0, 0), 4);
SELECT
    ROUND(2.5, 0),
    ROUND(-2.5, 0),
    ROUND(1234.567, -2),
    ROUND(1.999, 2, 1),
    CEILING(1.2),
    FLOOR(-1.2);
-- RC0602 by hand: No counterpart on the target: the function least with 2 argument(s) has no counterpart in sqlserver
-- SELECT NULLIF(a, 0), COALESCE(a, b, 0), GREATEST(a, b), LEAST(a, NULL) FROM t
-- RC0602 by hand: No counterpart on the target: the function row_count has no counterpart in sqlserver
-- SELECT LAST_INSERT_ID(), ROW_COUNT(), FOUND_ROWS(), USER(), DATABASE(), VERSION()
SELECT
    (DATEDIFF_BIG(microsecond, '19700101', taken) * 0.000001),
    DATEADD(second, 1700000000, CAST('1970-01-01 00:00:00' AS DATETIME2)),
    FORMAT(DATEADD(second, 1700000000, CAST('1970-01-01 00:00:00' AS DATETIME2)), 'yyyy')
FROM obs;
-- RC0602 by hand: No counterpart on the target: the function parse_timestamp with 2 argument(s) has no counterpart in sqlserver
-- SELECT STR_TO_DATE('31.01.2026', '%d.%m.%Y'), DAYNAME(taken), DAYOFWEEK(taken), WEEKDAY(taken), WEEK(taken), WEEK(taken, 3), YEARWEEK(taken) FROM obs
-- RC0602 by hand: No counterpart on the target: the function make_date_of_day with 2 argument(s) has no counterpart in sqlserver
-- SELECT ADDDATE(taken, 5), DATE_ADD(taken, INTERVAL '1:30' HOUR_MINUTE), LAST_DAY(taken), MAKEDATE(2026, 32), PERIOD_ADD(202601, 2), TO_DAYS(taken) FROM obs
-- RC0602 by hand: No counterpart on the target: the function crc32 with 1 argument(s) has no counterpart in sqlserver
-- SELECT LPAD(id, 5, '0'), HEX(name), UNHEX('41'), INET_ATON('1.2.3.4'), CRC32('a'), UUID() FROM star
-- RC0602 by hand: No counterpart on the target: the function json_keys with 1 argument(s) has no counterpart in sqlserver
-- SELECT JSON_EXTRACT(doc, '$.a.b'), doc->'$.a', doc->>'$.a', JSON_CONTAINS(doc, '1', '$.a'), JSON_LENGTH(doc), JSON_KEYS(doc) FROM t
-- RC0602 by hand: No counterpart on the target: SQL_CALC_FOUND_ROWS; count with a query of its own
-- SELECT SQL_CALC_FOUND_ROWS * FROM star LIMIT 10
SELECT * FROM star WITH (UPDLOCK, ROWLOCK) WHERE id > 5;
SELECT a.x
FROM a
JOIN b ON a.id = b.id;
-- RC0602 by hand: No counterpart on the target: the function bit_count with 1 argument(s) has no counterpart in sqlserver
-- SELECT ELT(2, 'a', 'b'), INTERVAL(5, 1, 4, 6), BIT_COUNT(7), CONV('ff', 16, 10), FORMAT(1234.5, 2), SPACE(3), REPEAT('a', 0), INSERT('abcd', 2, 1, 'xx'), LOCATE('b', 'abc', 2), POSITION('b' IN 'abc'), INSTR('abc', 'b'), MID('abc', 2, 1), LEFT('abc', 2), STRCMP('a', 'b'), SOUNDEX('a')
SELECT name FROM star ORDER BY name;
SELECT
    IIF(a > b, 'x', NULL),
    CASE a WHEN 1 THEN 'one' WHEN NULL THEN 'none' END,
    CASE WHEN CASE WHEN (a = b OR a IS NULL AND b IS NULL) THEN 1 ELSE 0 END = 1 THEN 1 ELSE 0 END,
    CASE
        WHEN CASE WHEN a <> 0 THEN 1 WHEN NOT a <> 0 THEN 0 END <> CASE WHEN b <> 0 THEN 1 WHEN NOT b <> 0 THEN 0 END THEN 1
        WHEN NOT CASE WHEN a <> 0 THEN 1 WHEN NOT a <> 0 THEN 0 END <> CASE WHEN b <> 0 THEN 1 WHEN NOT b <> 0 THEN 0 END THEN 0
    END,
    CASE WHEN NOT a <> 0 THEN 1 WHEN NOT (NOT a <> 0) THEN 0 END,
    CASE WHEN a <> 0 AND b <> 0 THEN 1 WHEN NOT (a <> 0 AND b <> 0) THEN 0 END,
    CASE WHEN a <> 0 OR b <> 0 THEN 1 WHEN NOT (a <> 0 OR b <> 0) THEN 0 END
FROM t;
-- RC0602 by hand: No counterpart on the target: the function as_bytes with 1 argument(s) has no counterpart in sqlserver
-- SELECT CAST(a AS SIGNED), CAST(s AS UNSIGNED), CAST(d AS CHAR), CAST(s AS DECIMAL(10,2)), CAST(s AS DATE), CONVERT(s, CHAR(3)), CONVERT(s USING utf8mb4), BINARY s FROM t
SELECT t.*, (SELECT COUNT(*) FROM obs WHERE obs.star_id = t.id) AS c FROM star t WHERE EXISTS (SELECT 1 FROM obs o WHERE o.star_id = t.id);
SELECT a.id, a.k, a.x, b.y, c.z
FROM a
JOIN b ON a.id = b.id AND a.k = b.k
LEFT JOIN c ON a.id = c.id AND a.k = c.k;
SELECT
    name,
    RANK() OVER (PARTITION BY kind ORDER BY mag),
    SUM(CAST(x AS bigint)) OVER (PARTITION BY kind ORDER BY mag ROWS UNBOUNDED PRECEDING)
FROM star;
SELECT * FROM (SELECT TOP 3 id FROM a ORDER BY x) part_
UNION ALL
SELECT * FROM (SELECT TOP 2 id FROM b) part_
ORDER BY 1 DESC;
SELECT kind, COUNT(*) FROM star GROUP BY ROLLUP (kind);
CREATE TABLE x (
    id decimal(20,0) IDENTITY(1,1) NOT NULL PRIMARY KEY,
    t datetimeoffset(0) DEFAULT SYSDATETIMEOFFSET(),
    e nvarchar(1) DEFAULT 'a' CHECK (e IN ('a', 'b')),
    b bit DEFAULT 0,
    y smallint,
    j nvarchar(max),
    m nvarchar(max),
    v varbinary(16),
    CONSTRAINT uk UNIQUE (e, y)
);

-- findings
-- 3:52: RC0102 check: One-digit number becomes a boolean: good: tinyint(1) as BIT
-- 9:50: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 10:27: RC0609 adapted: Said in other words: the mask %Y-%m is yyyy-MM
-- 10:70: RC0609 adapted: Said in other words: the expression for its alias in GROUP BY
-- 12:56: RC0608 adapted: Function spelled otherwise: HOUR means extract_hour
-- 13:8: RC0608 adapted: Function spelled otherwise: TIMESTAMPDIFF means full_minutes
-- 14:8: RC0608 adapted: Function spelled otherwise: TIMESTAMPDIFF means full_years
-- 14:43: RC0608 adapted: Function spelled otherwise: TIMESTAMPDIFF means full_months
-- 15:8: RC0608 adapted: Function spelled otherwise: IFNULL means coalesce
-- 15:44: RC0614 adapted: Condition made explicit: a number as a condition
-- 16:52: RC0609 adapted: Said in other words: a backslash escapes, as on the source
-- 17:1: RC0602 by hand: No counterpart on the target: a regular expression cannot be said in sqlserver
-- 19:1: RC0602 by hand: No counterpart on the target: the function position_in_list with 2 argument(s) has no counterpart in sqlserver
-- 20:1: RC0602 by hand: No counterpart on the target: the function substring_before with 3 argument(s) has no counterpart in sqlserver
-- 21:1: RC0602 by hand: No counterpart on the target: the session's variable @rn
-- 23:1: RC0602 by hand: No counterpart on the target: different texts put together with a separator
-- 24:1: RC0609 adapted: Said in other words: an upsert as MERGE
-- 25:1: RC0623 check: Upsert with a difference: IGNORE also passes over other errors
-- 25:1: RC0623 check: Upsert with a difference: the source looks at all keys of the table, the target at (id)
-- 25:1: RC0609 adapted: Said in other words: an upsert as MERGE
-- 25:1: RC0609 adapted: Said in other words: rows are allowed to bring numbers with them
-- 26:1: RC0623 check: Upsert with a difference: REPLACE deletes the old row first: rows that refer to it go or keep it, triggers of DELETE run, and columns that are not named get their defaults
-- 26:1: RC0623 check: Upsert with a difference: the source looks at all keys of the table, the target at (id)
-- 26:1: RC0609 adapted: Said in other words: an upsert as MERGE
-- 26:1: RC0609 adapted: Said in other words: rows are allowed to bring numbers with them
-- 29:1: RC0602 by hand: No counterpart on the target: ORDER BY in a change cannot be said in sqlserver
-- 30:27: RC0614 adapted: Condition made explicit: a truth value as a condition
-- 30:23: RC0614 adapted: Condition made explicit: a condition as a value
-- 31:33: RC0609 adapted: Said in other words: rows compared value by value
-- 32:36: RC0625 check: Types compared as on the source: a text is compared with a number
-- 32:50: RC0625 check: Types compared as on the source: a text is compared with a number
-- 33:10: RC0615 adapted: Division kept: with its fraction
-- 33:10: RC0615 adapted: Division kept: rounded as on the source
-- 33:43: RC0615 adapted: Division kept: NULL for a division by zero
-- 33:43: RC0615 adapted: Division kept: with its fraction
-- 33:43: RC0615 adapted: Division kept: rounded as on the source
-- 35:1: RC0602 by hand: No counterpart on the target: the function least with 2 argument(s) has no counterpart in sqlserver
-- 36:1: RC0602 by hand: No counterpart on the target: the function row_count has no counterpart in sqlserver
-- 37:8: RC0607 check: Function with a difference: extract_epoch: the source counts from 1970 in UTC by the zone of its session
-- 37:8: RC0608 adapted: Function spelled otherwise: UNIX_TIMESTAMP means extract_epoch
-- 37:31: RC0608 adapted: Function spelled otherwise: FROM_UNIXTIME means timestamp_of_epoch
-- 37:84: RC0609 adapted: Said in other words: the mask %Y is yyyy
-- 37:31: RC0607 check: Function with a difference: timestamp_of_epoch: fractions of seconds are cut off; by the clock of UTC, on the source by that of the session's zone
-- 37:58: RC0607 check: Function with a difference: timestamp_of_epoch: fractions of seconds are cut off; by the clock of UTC, on the source by that of the session's zone
-- 38:1: RC0602 by hand: No counterpart on the target: the function parse_timestamp with 2 argument(s) has no counterpart in sqlserver
-- 39:1: RC0602 by hand: No counterpart on the target: the function make_date_of_day with 2 argument(s) has no counterpart in sqlserver
-- 40:1: RC0602 by hand: No counterpart on the target: the function crc32 with 1 argument(s) has no counterpart in sqlserver
-- 41:1: RC0602 by hand: No counterpart on the target: the function json_keys with 1 argument(s) has no counterpart in sqlserver
-- 42:28: RC0602 by hand: No counterpart on the target: SQL_CALC_FOUND_ROWS; count with a query of its own
-- 43:20: RC0605 adapted: Hint left out: FORCE INDEX ( PRIMARY )
-- 43:1: RC0609 adapted: Said in other words: FOR UPDATE as locks of the tables
-- 44:33: RC0609 adapted: Said in other words: a join by names of columns with its condition
-- 45:1: RC0602 by hand: No counterpart on the target: the function bit_count with 1 argument(s) has no counterpart in sqlserver
-- 46:13: RC0612 check: Comparison may ignore case on one engine: COLLATE utf8mb4_bin left out
-- 46:57: RC0612 check: Comparison may ignore case on one engine: COLLATE utf8mb4_general_ci left out
-- 47:84: RC0614 adapted: Condition made explicit: a condition as a value
-- 47:91: RC0614 adapted: Condition made explicit: a number as a condition
-- 47:97: RC0614 adapted: Condition made explicit: a number as a condition
-- 47:93: RC0614 adapted: Condition made explicit: a condition as a value
-- 47:101: RC0614 adapted: Condition made explicit: a number as a condition
-- 47:100: RC0614 adapted: Condition made explicit: a condition as a value
-- 47:104: RC0614 adapted: Condition made explicit: a number as a condition
-- 47:109: RC0614 adapted: Condition made explicit: a number as a condition
-- 47:104: RC0614 adapted: Condition made explicit: a condition as a value
-- 47:112: RC0614 adapted: Condition made explicit: a number as a condition
-- 47:117: RC0614 adapted: Condition made explicit: a number as a condition
-- 47:112: RC0614 adapted: Condition made explicit: a condition as a value
-- 48:1: RC0602 by hand: No counterpart on the target: the function as_bytes with 1 argument(s) has no counterpart in sqlserver
-- 50:17: RC0609 adapted: Said in other words: a join by names of columns with its condition
-- 50:32: RC0609 adapted: Said in other words: a join by names of columns with its condition
-- 51:1: RC0609 adapted: Said in other words: each window where it is named
-- 51:29: RC0609 adapted: Said in other words: a sum of whole numbers with 64 bits
-- 54:1: RC0502 adapted: Storage clauses left out: ENGINE = InnoDB CHARSET = utf8mb4
-- 54:17: RC0117 adapted: Wider type: id: DECIMAL(20,0) for an identity of unsigned numbers
-- 54:73: RC0627 check: Said in other words, with a difference: ON UPDATE of t is left out; write a trigger that assigns it
-- 54:140: RC0120 adapted: Enumeration becomes a text: e as a text with a check
-- 54:169: RC0102 check: One-digit number becomes a boolean: b: tinyint(1) as BIT
-- 54:240: RC0627 check: Said in other words, with a difference: one engine takes two NULLs in the key for duplicates, the other does not
-- 54:262: RC0403 adapted: Index on the beginning of a column: the whole column
-- 54:262: RC0627 check: Said in other words, with a difference: the index k is left out, as the target has none on long texts and bytes such as m
