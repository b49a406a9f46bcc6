-- to: postgresql mysql sqlserver
CREATE TABLE obs_log (
    id bigint NOT NULL,
    star_id bigint,
    note varchar(200),
    amount decimal(65,30),
    taken datetime(0) DEFAULT LOCALTIMESTAMP NOT NULL,
    flag char(1) DEFAULT 'N' CHECK (flag IN ('Y', 'N')),
    CONSTRAINT fk_star FOREIGN KEY (star_id) REFERENCES star (id) ON DELETE CASCADE,
    CONSTRAINT pk_obs PRIMARY KEY (id)
) COLLATE utf8mb4_0900_bin;
ALTER TABLE obs_log MODIFY COLUMN note varchar(200) COLLATE utf8mb4_0900_bin COMMENT 'free text';
-- RC0602 by hand: No counterpart on the target: a sequence cannot be said in mysql
-- INSERT INTO obs_log (id, note, taken) VALUES (obs_seq.NEXTVAL, '', TO_DATE('2026-01-31 10:00:00', 'YYYY-MM-DD HH24:MI:SS'))
SELECT a.id, b.name
FROM obs_log a
LEFT JOIN star b ON a.star_id = b.id
WHERE a.amount > 3
LIMIT 10;
SELECT * FROM (SELECT id, note FROM obs_log ORDER BY taken DESC LIMIT 5) t_17_15;
SELECT
    CASE flag WHEN 'Y' THEN 'yes' WHEN 'N' THEN 'no' ELSE '?' END,
    COALESCE(note, 'none'),
    DATE_ADD(taken, INTERVAL 1 DAY),
    ((TIMESTAMPDIFF(MICROSECOND, '1970-01-01', taken) * 0.000001) - (TIMESTAMPDIFF(MICROSECOND, '1970-01-01', DATE '2026-01-01') * 0.000001)) / 86400,
    CAST(DATE(taken) AS DATETIME),
    DATE_FORMAT(taken, '%d.%m.%Y'),
    CONCAT(COALESCE(note, ''), '-', id)
FROM obs_log;
WITH RECURSIVE tree_ AS (
    SELECT node.*, 1 AS depth_ FROM node node WHERE parent_id IS NULL
    UNION ALL
    SELECT node.*, tree_.depth_ + 1
    FROM node node
    JOIN tree_ ON tree_.id = node.parent_id
)
SELECT id, parent_id, depth_ AS level
FROM tree_ node;
SELECT GROUP_CONCAT(name ORDER BY name SEPARATOR ',') FROM star GROUP BY kind;
INSERT INTO star (id, name)
SELECT n.id, n.name FROM (SELECT 1 AS id, 'x' AS name) n
ON DUPLICATE KEY UPDATE name = VALUES(name);
INSERT INTO a (x) VALUES (1);
INSERT INTO b (y) VALUES (2);
SELECT LOCALTIMESTAMP, CURRENT_TIMESTAMP(6), SUBSTRING_INDEX(CURRENT_USER(), '@', 1);
SELECT a FROM t1
EXCEPT
SELECT b FROM t2;
-- RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- CREATE OR REPLACE TRIGGER trg BEFORE INSERT ON obs_log FOR EACH ROW
-- BEGIN
--   :NEW.id := obs_seq.NEXTVAL;
-- END;
SELECT 'it''s' FROM a FOR UPDATE NOWAIT;
SELECT *
FROM (
    SELECT SUM(CASE WHEN dept = 'A' THEN amt END) AS a, SUM(CASE WHEN dept = 'B' THEN amt END) AS b
    FROM (SELECT dept, amt FROM sales) t_31_15
) pivoted_;
CREATE OR REPLACE VIEW v AS
SELECT id FROM star;
CREATE TABLE plate_scan (
    id int PRIMARY KEY,
    raw_image longblob,
    label char(3),
    note longtext
) COLLATE utf8mb4_0900_bin;

-- NOT NULL is a constraint that may have a name
CREATE TABLE plate (
    id int,
    band varchar(3) DEFAULT 'V' NOT NULL,
    CONSTRAINT pk_plate PRIMARY KEY (id)
) COLLATE utf8mb4_0900_bin;
ALTER TABLE plate MODIFY COLUMN band varchar(3) COLLATE utf8mb4_0900_bin DEFAULT 'V';
ALTER TABLE plate MODIFY COLUMN band varchar(3) COLLATE utf8mb4_0900_bin DEFAULT 'V' NOT NULL;
ALTER TABLE plate MODIFY COLUMN band varchar(3) COLLATE utf8mb4_0900_bin DEFAULT 'V';
ALTER TABLE plate DROP PRIMARY KEY;

-- findings
-- 2:1: RC0604 adapted: Client command left out: SET DEFINE OFF;
-- 3:1: RC0604 adapted: Client command left out: PROMPT Creating tables
-- 4:1: RC0502 adapted: Storage clauses left out: TABLESPACE users PCTFREE 10
-- 4:1: RC0502 adapted: Storage clauses left out: STORAGE (INITIAL 64 K NEXT 1 M) LOGGING
-- 8:3: RC0110 check: Number without precision is bounded: amount: number without precision as decimal(65,30)
-- 11:3: RC0502 adapted: Storage clauses left out: USING INDEX
-- 11:3: RC0502 adapted: Storage clauses left out: TABLESPACE idx
-- 13:1: RC0609 adapted: Said in other words: the whole definition of note
-- 14:1: RC0627 check: Said in other words, with a difference: without the sequence obs_seq; a column that takes its numbers is numbered itself
-- 15:1: RC0602 by hand: No counterpart on the target: a sequence cannot be said in mysql
-- 16:1: RC0609 adapted: Said in other words: (+) as LEFT JOIN
-- 16:1: RC0609 adapted: Said in other words: ROWNUM as a limit
-- 17:1: RC0609 adapted: Said in other words: ROWNUM as a limit
-- 17:15: RC0609 adapted: Said in other words: a name for the query in FROM
-- 18:8: RC0609 adapted: Said in other words: decode in other words
-- 18:50: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 18:75: RC0609 adapted: Said in other words: days added to a date
-- 18:136: RC0609 adapted: Said in other words: the mask DD.MM.YYYY is %d.%m.%Y
-- 18:151: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 19:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 19:1: RC0627 check: Said in other words, with a difference: the rows come in no particular order, not depth first
-- 20:8: RC0608 adapted: Function spelled otherwise: LISTAGG means string_agg
-- 20:8: RC0607 check: Function with a difference: string_agg: the result is cut at group_concat_max_len, 1024 bytes where it is not set
-- 21:1: RC0623 check: Upsert with a difference: MERGE as an upsert; there must be a unique key on the columns by which rows match
-- 21:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 22:1: RC0609 adapted: Said in other words: INSERT ALL as one INSERT for each table
-- 25:1: RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- 30:8: RC0605 adapted: Hint left out: /*+ INDEX(a i) */
-- 31:45: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 31:15: RC0609 adapted: Said in other words: a name for the query in FROM
-- 32:1: RC0626 check: Right in other words: WITH READ ONLY: grant nothing but SELECT on the view
-- 34:1: RC0604 adapted: Client command left out: EXIT
-- 38:1: RC0609 adapted: Said in other words: nn_band is the name of a column's option
-- 38:1: RC0609 adapted: Said in other words: the whole definition of band
-- 39:1: RC0609 adapted: Said in other words: the whole definition of band
-- 40:1: RC0609 adapted: Said in other words: nn_again is the name of a column's option
-- 40:1: RC0609 adapted: Said in other words: the whole definition of band
