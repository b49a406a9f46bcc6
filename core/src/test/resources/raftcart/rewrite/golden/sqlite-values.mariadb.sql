-- to: postgresql mariadb
CREATE TABLE frame (
    id bigint AUTO_INCREMENT PRIMARY KEY,
    a bigint,
    b double,
    s longtext,
    d date,
    dt datetime(6),
    n decimal(65,30),
    bl longblob
) COLLATE utf8mb4_nopad_bin;
SELECT a DIV 2 FROM frame;
SELECT b / 2 FROM frame;
SELECT CONCAT(a, s) FROM frame;
SELECT CONCAT(s, NULL) FROM frame;
SELECT CASE WHEN a = '5' THEN 1 END FROM frame;
SELECT COALESCE(s, 'x') FROM frame;
SELECT IF(a > 1, 'x', 'y') FROM frame;
SELECT UTC_DATE() FROM frame;
SELECT LOCALTIMESTAMP FROM frame;
SELECT DATE(DATE_ADD(DATE(d), INTERVAL 1 MONTH)) FROM frame;
SELECT DATE(DATE_ADD(DATE_ADD(CAST(DATE_FORMAT(CAST(d AS DATETIME(6)), '%Y-%m-01') AS DATETIME), INTERVAL 1 MONTH), INTERVAL (-1) DAY))
FROM frame;
SELECT DATE_FORMAT(d, '%Y-%m') FROM frame;
SELECT CAST((DAYOFWEEK(d) - 1) AS char) FROM frame;
SELECT TIMESTAMPDIFF(second, TIMESTAMP '1970-01-01 00:00:00', UTC_TIMESTAMP()) FROM frame;
SELECT CAST((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', UTC_TIMESTAMP()) * 0.000001) AS decimal(65,30)) / 86400.0 + 2440587.5 - (CAST((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', CAST(d AS DATETIME(6))) * 0.000001) AS decimal(65,30)) / 86400.0 + 2440587.5)
FROM frame;
SELECT TIMESTAMPDIFF(second, TIMESTAMP '1970-01-01 00:00:00', CAST(dt AS DATETIME(6))) FROM frame;
SELECT substr(s, 2, 3) FROM frame;
SELECT RIGHT(s, 2) FROM frame;
SELECT LOCATE('a', s) FROM frame;
SELECT CHAR_LENGTH(s) FROM frame;
-- RC0602 by hand: No counterpart on the target: the function printf with 2 argument(s) has no counterpart in mariadb
-- SELECT printf('%05d', a) FROM frame
-- RC0602 by hand: No counterpart on the target: the function printf with 2 argument(s) has no counterpart in mariadb
-- SELECT printf('%.2f', b) FROM frame
SELECT round(b, 1) FROM frame;
SELECT abs(a) FROM frame;
SELECT random() FROM frame;
-- RC0602 by hand: No counterpart on the target: the function type_name with 1 argument(s) has no counterpart in mariadb
-- SELECT typeof(a) FROM frame
SELECT hex(bl) FROM frame;
SELECT CASE WHEN s IS NOT NULL THEN QUOTE(s) END FROM frame;
SELECT TRIM(BOTH 'x' FROM s) FROM frame;
SELECT REPLACE(s, 'a', 'b') FROM frame;
SELECT GROUP_CONCAT(s SEPARATOR ',') FROM frame;
SELECT GROUP_CONCAT(s SEPARATOR ';') FROM frame;
SELECT CAST(COALESCE(SUM(a), 0.0) AS double) FROM frame;
SELECT GREATEST(a, 5) FROM frame;
SELECT CASE JSON_TYPE(JSON_EXTRACT(s, '$.a')) WHEN 'STRING' THEN JSON_VALUE(s, '$.a') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(s, '$.a') END
FROM frame;
SELECT CASE JSON_TYPE(JSON_EXTRACT(s, '$.a')) WHEN 'STRING' THEN JSON_VALUE(s, '$.a') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(s, '$.a') END
FROM frame;
SELECT LAST_INSERT_ID() FROM frame;
SELECT ROW_COUNT() FROM frame;
SELECT CAST(s AS signed) FROM frame;
SELECT CAST(TRUNCATE(b, 0) AS signed) FROM frame;
SELECT CASE WHEN s LIKE 'a%' THEN 1 END FROM frame;
SELECT CASE WHEN LOWER(s) LIKE LOWER('A%') THEN 1 END FROM frame;
SELECT CASE WHEN s REGEXP 'a' THEN 1 END FROM frame;
SELECT CASE WHEN s = 'x' THEN 1 END FROM frame;
SELECT CASE WHEN a <=> 5 THEN 1 END FROM frame;
SELECT CASE WHEN NOT (a <=> 5) THEN 1 END FROM frame;
SELECT CASE WHEN a <> 5 THEN 1 END FROM frame;
SELECT CASE WHEN s = 'x' THEN 1 END FROM frame;
SELECT a FROM frame LIMIT 5 OFFSET 2;
SELECT a FROM frame LIMIT 5 OFFSET 2;
SELECT id, a FROM frame;
REPLACE INTO frame (id, a) VALUES (1, 2);
INSERT IGNORE INTO frame (id, a) VALUES (1, 2);
REPLACE INTO frame (id, a) VALUES (1, 2);
INSERT INTO frame (id, a) VALUES (1, 2) ON DUPLICATE KEY UPDATE a = VALUES(a);
-- RC0602 by hand: No counterpart on the target: RETURNING of an UPDATE cannot be said in mariadb
-- UPDATE frame SET a = 1 RETURNING id
DELETE FROM frame;
SELECT a, COUNT(*) FROM frame GROUP BY s;
SELECT * FROM frame WHERE a;
SELECT a FROM frame ORDER BY s;
SELECT a FROM frame ORDER BY a;
SELECT DISTINCT s FROM frame;
SELECT COUNT(CASE WHEN a > 1 THEN 1 END) FROM frame;
SELECT 0; SELECT 0;
CREATE TABLE w (
    a bigint,
    b longtext,
    PRIMARY KEY (a)
) COLLATE utf8mb4_nopad_bin;
-- RC0602 by hand: No counterpart on the target: virtual
-- CREATE VIRTUAL TABLE v USING fts5(s)

-- findings
-- 2:66: RC0116 check: NaN and infinity are refused: b: double
-- 2:103: RC0110 check: Number without precision is bounded: n: number without precision as decimal(65,30)
-- 3:10: RC0615 adapted: Division kept: without a fraction
-- 7:20: RC0625 check: Types compared as on the source: a text is compared with a number
-- 8:8: RC0608 adapted: Function spelled otherwise: IFNULL means coalesce
-- 12:8: RC0607 check: Function with a difference: a day beyond the end of the month goes on into the next one on the source
-- 16:8: RC0609 adapted: Said in other words: whole_epoch in other words
-- 17:8: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 17:27: RC0615 adapted: Division kept: with more digits than the target gives by itself
-- 18:18: RC0609 adapted: Said in other words: whole_epoch in other words
-- 20:8: RC0609 adapted: Said in other words: a start from the end as RIGHT
-- 21:8: RC0608 adapted: Function spelled otherwise: instr means locate
-- 22:8: RC0608 adapted: Function spelled otherwise: length means char_length
-- 23:1: RC0602 by hand: No counterpart on the target: the function printf with 2 argument(s) has no counterpart in mariadb
-- 24:1: RC0602 by hand: No counterpart on the target: the function printf with 2 argument(s) has no counterpart in mariadb
-- 25:8: RC0607 check: Function with a difference: round_to: halves of floating-point numbers go to the even digit on the target, away from zero on the source
-- 27:8: RC0606 check: Function is not in the dictionary: random
-- 28:1: RC0602 by hand: No counterpart on the target: the function type_name with 1 argument(s) has no counterpart in mariadb
-- 30:8: RC0607 check: Function with a difference: quote_literal: quotes within the text are written in another way
-- 30:8: RC0607 check: Function with a difference: quote_literal: quotes and backslashes within the text are written in another way
-- 33:8: RC0608 adapted: Function spelled otherwise: group_concat means string_agg
-- 34:8: RC0608 adapted: Function spelled otherwise: group_concat means string_agg
-- 36:8: RC0608 adapted: Function spelled otherwise: max means greatest
-- 37:8: RC0607 check: Function with a difference: json_get_text: a number is a number on the source, and a text on the target
-- 39:8: RC0607 check: Function with a difference: after an INSERT of several rows it is the first number on one engine and the last on the other
-- 39:8: RC0608 adapted: Function spelled otherwise: last_insert_rowid means last_identity
-- 40:8: RC0608 adapted: Function spelled otherwise: changes means row_count
-- 42:8: RC0609 adapted: Said in other words: cut as on the source
-- 43:20: RC0609 adapted: Said in other words: the case of letters counts in LIKE as on the source
-- 44:20: RC0609 adapted: Said in other words: the case of letters counts in LIKE as on the source
-- 50:20: RC0612 check: Comparison may ignore case on one engine: COLLATE NOCASE left out
-- 57:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 58:1: RC0602 by hand: No counterpart on the target: RETURNING of an UPDATE cannot be said in mariadb
-- 62:32: RC0612 check: Comparison may ignore case on one engine: COLLATE NOCASE left out
-- 65:8: RC0609 adapted: Said in other words: FILTER as a choice inside of the aggregate
-- 66:11: RC0604 adapted: Client command left out: PRAGMA foreign_keys = ON
-- 67:11: RC0604 adapted: Client command left out: ATTACH DATABASE 'x' AS y
-- 68:1: RC0502 adapted: Storage clauses left out: WITHOUT ROWID
-- 69:1: RC0602 by hand: No counterpart on the target: virtual
