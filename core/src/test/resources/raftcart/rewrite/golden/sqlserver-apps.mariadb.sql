-- to: postgresql mariadb
CREATE TABLE t (
    id int,
    code varchar(8),
    p decimal(19,4)
);
CREATE TABLE s (
    id int AUTO_INCREMENT PRIMARY KEY,
    code varchar(8) NOT NULL UNIQUE,
    at datetime(3) DEFAULT (UTC_TIMESTAMP(3)),
    ok tinyint(1) DEFAULT TRUE NOT NULL,
    price decimal(19,4),
    doc longtext,
    rv longblob,
    g uuid DEFAULT (UUID()),
    total decimal(38,10) GENERATED ALWAYS AS (price * 2) STORED
);
SELECT code, price FROM s ORDER BY price DESC FETCH FIRST 5 ROWS WITH TIES;
SELECT
    code,
    COALESCE(price, 0),
    COALESCE(price, 0),
    CAST(price AS decimal(65,30)) / 3,
    7 DIV 2,
    CAST(7 AS double) / 2
FROM s;
SELECT
    CONCAT(code, ' ', CAST(id AS char(10))),
    CONCAT(code, NULL),
    CONCAT(code, COALESCE(CAST(NULL AS char), ''))
FROM s;
SELECT
    DATE_ADD(at, INTERVAL 1 DAY),
    TIMESTAMPDIFF(HOUR, DATE_FORMAT(at, '%Y-%m-%d %H:00:00'), DATE_FORMAT(CURRENT_TIMESTAMP(6), '%Y-%m-%d %H:00:00')),
    DAYOFWEEK(at),
    MONTHNAME(at),
    LAST_DAY(at),
    YEAR(at),
    LEFT(DATE_FORMAT(at, '%Y-%m-%d %H:%i:%s'), 10),
    CAST(at AS date),
    DATE_FORMAT(at, '%Y-%m-%d')
FROM s;
SELECT
    CHAR_LENGTH(RTRIM(code)),
    CHAR_LENGTH(RTRIM('a  ')),
    LENGTH(code),
    LOCATE('a', code),
    REGEXP_INSTR(code, '[0-9]'),
    CONCAT(LEFT(code, 1 - 1), 'x', SUBSTRING(code, 1 + 1)),
    REPEAT('a', 3),
    LTRIM(code),
    UPPER(code),
    LEFT(code, 2),
    SUBSTR(code, 2, 3),
    REVERSE(code),
    CONCAT('`', REPLACE(code, '`', '``'), '`')
FROM s;
SELECT CASE WHEN ok = TRUE THEN 'y' ELSE 'n' END, IF(ok = TRUE, 1, 0), ELT(2, 'a', 'b')
FROM s
WHERE ok = TRUE;
SELECT s.code, x.v
FROM s
JOIN (
    SELECT
        price AS v,
        t.code AS key_1_,
        ROW_NUMBER() OVER (PARTITION BY t.code ORDER BY at DESC) AS row_
    FROM s t
) x ON x.key_1_ = s.code AND x.row_ <= 1;
-- RC0602 by hand: No counterpart on the target: texts split into rows
-- SELECT s.code, x.v FROM dbo.s OUTER APPLY STRING_SPLIT(doc, ',') AS x(v)
-- RC0602 by hand: No counterpart on the target: an UPDATE that assigns variables
-- UPDATE s SET price = t.p, @x = 1 FROM dbo.s s JOIN t ON t.code = s.code
UPDATE s s
CROSS JOIN t t
SET s.price = t.p
WHERE t.code = s.code AND s.ok = TRUE;
DELETE s FROM s s
LEFT JOIN t ON t.code = s.code
WHERE t.code IS NULL;
DELETE FROM s WHERE ok = FALSE LIMIT 100;
INSERT INTO s (code, price) VALUES ('a', 5.10), ('b', 2) RETURNING id;
INSERT INTO s (code, price)
SELECT u.code, u.p FROM (SELECT 'a' AS code, 1 AS p) u
ON DUPLICATE KEY UPDATE price = VALUES(price);
CREATE TEMPORARY TABLE `#tmp` AS
SELECT * FROM s WHERE ok = TRUE;
SELECT
    code,
    SUM(price) OVER (PARTITION BY ok ORDER BY at ROWS UNBOUNDED PRECEDING),
    ROW_NUMBER() OVER (ORDER BY (SELECT NULL))
FROM s;
SELECT * FROM s ORDER BY id LIMIT 5 OFFSET 10;
SELECT key_1_ AS ok, value_1_
FROM (
    SELECT ok AS key_1_, COUNT(*) AS value_1_ FROM s GROUP BY ok
    UNION ALL
    SELECT NULL AS key_1_, COUNT(*) AS value_1_ FROM s
) groupings_;
SELECT code
FROM (
    SELECT
        id,
        code,
        at,
        doc,
        rv,
        g,
        total,
        SUM(CASE WHEN ok = FALSE THEN price END) AS `0`,
        SUM(CASE WHEN ok = TRUE THEN price END) AS `1`
    FROM s
    GROUP BY id, code, at, doc, rv, g, total
) p;
SELECT code AS `order`, 'lit' AS `quoted alias`, price AS `p r` FROM s;
SELECT
    CASE JSON_TYPE(JSON_EXTRACT(doc, '$.a')) WHEN 'STRING' THEN JSON_VALUE(doc, '$.a') WHEN 'NULL' THEN NULL WHEN 'OBJECT' THEN NULL WHEN 'ARRAY' THEN NULL ELSE JSON_EXTRACT(doc, '$.a') END,
    JSON_EXTRACT(doc, '$.b'),
    JSON_VALID(doc)
FROM s;
SELECT * FROM JSON_TABLE('[1,2]', '$[*]' COLUMNS (value longtext PATH '$')) document_;
SELECT
    LAST_INSERT_ID(),
    LAST_INSERT_ID(),
    ROW_COUNT(),
    DATABASE(),
    SUBSTRING_INDEX(USER(), '@', 1),
    UTC_TIMESTAMP(6),
    UUID();
SELECT
    ROUND(price, 1),
    TRUNCATE(2.55, 1),
    CEIL(1.2),
    POWER(2, 3),
    SQRT(4),
    SIGN(-1),
    10 % 3,
    CAST(~5 AS SIGNED),
    CAST(5 & 3 AS SIGNED),
    CAST(5 | 3 AS SIGNED),
    CAST(5 ^ 3 AS SIGNED)
FROM s;
SELECT
    CASE WHEN code REGEXP '^ *[-+]?[0-9]+ *$' THEN CAST(code AS signed) END,
    CASE WHEN code REGEXP '^ *[-+]?[0-9]+ *$' THEN CAST(code AS signed) END,
    TRUE,
    CAST(TRUNCATE(price, 0) AS signed),
    CAST(TRUNCATE(2.7, 0) AS signed),
    TIMESTAMP '2026-01-31 00:00:00'
FROM s;
SELECT
    GROUP_CONCAT(code ORDER BY code SEPARATOR ','),
    COUNT(*),
    STDDEV_SAMP(CAST(price AS decimal(65,30))),
    VAR_SAMP(CAST(price AS decimal(65,30))),
    CHECKSUM(code)
FROM s;
SELECT a.code
FROM s a, t b
WHERE a.code = b.code AND a.code REGEXP '^[a-c]' AND a.code NOT REGEXP '[^0-9]';
SELECT code
FROM s
WHERE at >= TIMESTAMP '2026-01-01 00:00:00'
    AND at < TIMESTAMP '2026-02-01 00:00:00'
    AND at BETWEEN TIMESTAMP '2026-01-01 00:00:00' AND CURRENT_TIMESTAMP(6);
SELECT code FROM s WHERE code = 'ABC' AND price IS NOT NULL;
-- RC0602 by hand: No counterpart on the target: a change of what a common table reads
-- WITH c AS (SELECT id, code FROM dbo.s) DELETE FROM c WHERE id > 5
SELECT x.n
FROM (
    SELECT 1 AS n
    UNION ALL
    SELECT 2 AS n
) x;
CREATE TABLE IF NOT EXISTS z (
    a int
);
SELECT
    DATETIMEFROMPARTS(2026, 1, 31, 1, 2, 3, 4),
    CAST(CONCAT(2026, '-', 1, '-', 31) AS DATE),
    CURRENT_TIMESTAMP,
    at
FROM s;
-- RC0602 by hand: No counterpart on the target: FOR JSON
-- SELECT code FROM dbo.s FOR JSON PATH
SELECT COUNT(*) FROM s HAVING COUNT(*) > 1;

-- findings
-- 2:1: RC0409 check: Accents do not count on the target: code
-- 2:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 3:42: RC0502 adapted: Storage clauses left out: CLUSTERED
-- 3:165: RC0614 adapted: Condition made explicit: 1 for a truth value
-- 3:200: RC0111 check: Type without counterpart crosses as text or bytes: rv: rowversion as longblob
-- 3:200: RC0627 check: Said in other words, with a difference: rv is NULL until something gives it a value, as the source did at every change
-- 3:242: RC0608 adapted: Function spelled otherwise: NEWID means new_uuid
-- 3:1: RC0409 check: Accents do not count on the target: code, doc
-- 3:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 4:49: RC0605 adapted: Hint left out: WITH ( NOLOCK )
-- 4:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 5:14: RC0608 adapted: Function spelled otherwise: ISNULL means coalesce
-- 5:58: RC0607 check: Function with a difference: if it is money, the source gives four digits behind the point
-- 5:58: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 5:65: RC0615 adapted: Division kept: without a fraction
-- 5:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 6:19: RC0609 adapted: Said in other words: + puts texts together
-- 6:51: RC0609 adapted: Said in other words: + puts texts together
-- 6:59: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 6:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 7:8: RC0608 adapted: Function spelled otherwise: DATEADD means add_days
-- 7:29: RC0608 adapted: Function spelled otherwise: DATEDIFF means diff_hours
-- 7:60: RC0607 check: Function with a difference: day_of_week_sunday_1: the source's first day of the week is taken for Sunday
-- 7:60: RC0608 adapted: Function spelled otherwise: DATEPART means day_of_week_sunday_1
-- 7:83: RC0608 adapted: Function spelled otherwise: DATENAME means month_name
-- 7:104: RC0608 adapted: Function spelled otherwise: EOMONTH means last_day
-- 7:117: RC0608 adapted: Function spelled otherwise: YEAR means extract_year
-- 7:188: RC0609 adapted: Said in other words: the mask yyyy-MM-dd is %Y-%m-%d
-- 7:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 8:31: RC0607 check: Function with a difference: octet_length: an NVARCHAR has two bytes for each character
-- 8:31: RC0608 adapted: Function spelled otherwise: DATALENGTH means octet_length
-- 8:49: RC0608 adapted: Function spelled otherwise: CHARINDEX means locate
-- 8:98: RC0607 check: Function with a difference: a start beyond the end of the text gives NULL on the source
-- 8:122: RC0608 adapted: Function spelled otherwise: REPLICATE means repeat
-- 8:220: RC0608 adapted: Function spelled otherwise: QUOTENAME means quote_name
-- 8:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 9:23: RC0614 adapted: Condition made explicit: 1 beside a truth value
-- 9:57: RC0614 adapted: Condition made explicit: 1 beside a truth value
-- 9:109: RC0614 adapted: Condition made explicit: true beside a truth value
-- 9:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 10:43: RC0609 adapted: Said in other words: a query that reads the rows before it, as a join
-- 10:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 11:1: RC0602 by hand: No counterpart on the target: texts split into rows
-- 12:27: RC0602 by hand: No counterpart on the target: an UPDATE that assigns variables
-- 13:1: RC0609 adapted: Said in other words: the other tables joined to the changed one
-- 13:92: RC0614 adapted: Condition made explicit: 1 beside a truth value
-- 13:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 14:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 15:40: RC0614 adapted: Condition made explicit: 0 beside a truth value
-- 15:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 16:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 17:1: RC0623 check: Upsert with a difference: MERGE as an upsert; there must be a unique key on the columns by which rows match
-- 17:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 17:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 18:1: RC0609 adapted: Said in other words: SELECT INTO as CREATE TABLE AS
-- 18:42: RC0614 adapted: Condition made explicit: 1 beside a truth value
-- 18:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 19:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 20:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 21:1: RC0609 adapted: Said in other words: a query for each of the groupings
-- 21:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 22:24: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 1:1: RC0614 adapted: Condition made explicit: 0 beside a truth value
-- 1:1: RC0614 adapted: Condition made explicit: 1 beside a truth value
-- 22:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 23:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 24:8: RC0608 adapted: Function spelled otherwise: JSON_VALUE means json_scalar_text
-- 24:32: RC0607 check: Function with a difference: json_get: the source gives NULL for a value that is neither object nor array
-- 24:32: RC0608 adapted: Function spelled otherwise: JSON_QUERY means json_get
-- 24:56: RC0607 check: Function with a difference: json_valid: true and false are 1 and 0 here, and only objects and arrays are taken for JSON
-- 24:56: RC0608 adapted: Function spelled otherwise: ISJSON means json_valid
-- 24:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 25:8: RC0627 check: Said in other words, with a difference: texts of a document keep their backslashes on the target, where all columns are read
-- 25:15: RC0627 check: Said in other words, with a difference: an object in the place of a list gives no row, on the source it gives one
-- 25:15: RC0627 check: Said in other words, with a difference: of the function's columns only the values, and those of an array alone
-- 25:15: RC0609 adapted: Said in other words: the parts of a document as rows
-- 26:8: RC0607 check: Function with a difference: after an INSERT of several rows it is the first number on one engine and the last on the other
-- 26:8: RC0608 adapted: Function spelled otherwise: SCOPE_IDENTITY means last_identity
-- 26:50: RC0608 adapted: Function spelled otherwise: DB_NAME means current_database
-- 26:61: RC0608 adapted: Function spelled otherwise: SUSER_SNAME means system_user
-- 26:90: RC0608 adapted: Function spelled otherwise: NEWID means new_uuid
-- 27:25: RC0608 adapted: Function spelled otherwise: ROUND means truncate_to
-- 27:44: RC0608 adapted: Function spelled otherwise: CEILING means ceil
-- 27:58: RC0609 adapted: Said in other words: power_of_whole in other words
-- 27:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 28:8: RC0627 check: Said in other words, with a difference: NULL for what is no number; one that is too great for the type is refused
-- 28:31: RC0627 check: Said in other words, with a difference: NULL for what is no number; one that is too great for the type is refused
-- 28:73: RC0609 adapted: Said in other words: cut as on the source
-- 28:93: RC0609 adapted: Said in other words: cut as on the source
-- 28:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 29:60: RC0608 adapted: Function spelled otherwise: COUNT_BIG means count_rows
-- 29:74: RC0608 adapted: Function spelled otherwise: STDEV means stddev_samp
-- 29:74: RC0615 adapted: Division kept: an average with all of its digits
-- 29:88: RC0615 adapted: Division kept: an average with all of its digits
-- 29:100: RC0606 check: Function is not in the dictionary: CHECKSUM
-- 29:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 30:70: RC0609 adapted: Said in other words: a LIKE pattern with brackets as a regular expression
-- 30:95: RC0609 adapted: Said in other words: a LIKE pattern with brackets as a regular expression
-- 30:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 31:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 32:43: RC0612 check: Comparison may ignore case on one engine: COLLATE SQL_Latin1_General_CP1_CI_AS left out
-- 32:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 33:1: RC0602 by hand: No counterpart on the target: a change of what a common table reads
-- 34:17: RC0609 adapted: Said in other words: the names of columns inside of the query
-- 36:8: RC0606 check: Function is not in the dictionary: DATETIMEFROMPARTS with these 7 argument(s)
-- 36:46: RC0608 adapted: Function spelled otherwise: DATEFROMPARTS means make_date
-- 36:85: RC0609 adapted: Said in other words: zoned_now in other words
-- 36:72: RC0607 check: Function with a difference: instant_in_zone: the instant is the same, but it is shown in the zone of the session
-- 36:1: RC0609 adapted: Said in other words: the schema dbo is left out
-- 37:24: RC0602 by hand: No counterpart on the target: FOR JSON
-- 38:1: RC0609 adapted: Said in other words: the schema dbo is left out
