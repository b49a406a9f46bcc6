-- to: postgresql mysql sqlserver
CREATE TABLE obs_log (
    id bigint NOT NULL,
    star_id bigint CONSTRAINT fk_star REFERENCES star (id) ON DELETE CASCADE,
    note nvarchar(200) COLLATE Latin1_General_100_BIN2,
    amount decimal(38,10),
    taken datetime2(0) DEFAULT SYSDATETIME() NOT NULL,
    flag nchar(1) COLLATE Latin1_General_100_BIN2 DEFAULT 'N' CHECK (flag IN ('Y', 'N')),
    CONSTRAINT pk_obs PRIMARY KEY (id)
);
EXEC sys.sp_addextendedproperty 'MS_Description', N'free text', 'SCHEMA', 'dbo', 'TABLE', 'obs_log', 'COLUMN', 'note';
CREATE SEQUENCE obs_seq START WITH 100 INCREMENT BY 1;
INSERT INTO obs_log (id, note, taken)
VALUES (NEXT VALUE FOR obs_seq, NULL, CAST('2026-01-31 10:00:00' AS datetime2(0)));
SELECT TOP 10 a.id, b.name
FROM obs_log a
LEFT JOIN star b ON a.star_id = b.id
WHERE a.amount > 3;
SELECT * FROM (SELECT TOP 5 id, note FROM obs_log ORDER BY taken DESC) t_17_15;
SELECT
    CASE flag WHEN 'Y' THEN 'yes' WHEN 'N' THEN 'no' ELSE '?' END,
    COALESCE(note, 'none'),
    DATEADD(day, 1, taken),
    ((DATEDIFF_BIG(microsecond, '19700101', taken) * 0.000001) - (DATEDIFF_BIG(microsecond, '19700101', '2026-01-01') * 0.000001)) / 86400,
    CAST(CAST(taken AS DATE) AS DATETIME2),
    FORMAT(taken, 'dd.MM.yyyy'),
    COALESCE(note, '') + '-' + CAST(id AS nvarchar(max))
FROM obs_log;
WITH tree_ AS (
    SELECT node.*, 1 AS depth_ FROM node node WHERE parent_id IS NULL
    UNION ALL
    SELECT node.*, tree_.depth_ + 1
    FROM node node
    JOIN tree_ ON tree_.id = node.parent_id
)
SELECT id, parent_id, depth_ AS level
FROM tree_ node;
SELECT STRING_AGG(name, ',') WITHIN GROUP (ORDER BY name) FROM star GROUP BY kind;
MERGE INTO star s
USING (SELECT 1 AS id, 'x' AS name) n
ON s.id = n.id
WHEN MATCHED THEN UPDATE SET name = n.name
WHEN NOT MATCHED THEN INSERT (id, name) VALUES (n.id, n.name);
INSERT INTO a (x) VALUES (1);
INSERT INTO b (y) VALUES (2);
SELECT SYSDATETIME(), SYSDATETIMEOFFSET(), CURRENT_USER;
SELECT a FROM t1
EXCEPT
SELECT b FROM t2;
-- RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- CREATE OR REPLACE TRIGGER trg BEFORE INSERT ON obs_log FOR EACH ROW
-- BEGIN
--   :NEW.id := obs_seq.NEXTVAL;
-- END;
SELECT 'it''s' FROM a WITH (UPDLOCK, ROWLOCK, NOWAIT);
SELECT *
FROM (
    SELECT SUM(CASE WHEN dept = 'A' THEN amt END) AS a, SUM(CASE WHEN dept = 'B' THEN amt END) AS b
    FROM (SELECT dept, amt FROM sales) t_31_15
) pivoted_;
CREATE OR ALTER VIEW v AS
SELECT id FROM star;
CREATE TABLE plate_scan (
    id int PRIMARY KEY,
    raw_image varbinary(max),
    label nchar(3) COLLATE Latin1_General_100_BIN2,
    note nvarchar(max) COLLATE Latin1_General_100_BIN2
);

-- NOT NULL is a constraint that may have a name
CREATE TABLE plate (
    id int CONSTRAINT pk_plate PRIMARY KEY,
    band nvarchar(3) COLLATE Latin1_General_100_BIN2 DEFAULT 'V' NOT NULL
);
ALTER TABLE plate ALTER COLUMN band nvarchar(3) COLLATE Latin1_General_100_BIN2;
ALTER TABLE plate ALTER COLUMN band nvarchar(3) COLLATE Latin1_General_100_BIN2 NOT NULL;
ALTER TABLE plate ALTER COLUMN band nvarchar(3) COLLATE Latin1_General_100_BIN2;
ALTER TABLE plate DROP CONSTRAINT pk_plate;

-- findings
-- 2:1: RC0604 adapted: Client command left out: SET DEFINE OFF;
-- 3:1: RC0604 adapted: Client command left out: PROMPT Creating tables
-- 4:1: RC0502 adapted: Storage clauses left out: TABLESPACE users PCTFREE 10
-- 4:1: RC0502 adapted: Storage clauses left out: STORAGE (INITIAL 64 K NEXT 1 M) LOGGING
-- 8:3: RC0110 check: Number without precision is bounded: amount: number without precision as DECIMAL(38,10)
-- 11:3: RC0502 adapted: Storage clauses left out: USING INDEX
-- 11:3: RC0502 adapted: Storage clauses left out: TABLESPACE idx
-- 15:64: RC0613 check: Empty text and NULL: '' is NULL on the source, and is written as NULL
-- 15:68: RC0609 adapted: Said in other words: the date that the mask reads: 2026-01-31 10:00:00
-- 16:1: RC0609 adapted: Said in other words: (+) as LEFT JOIN
-- 16:1: RC0609 adapted: Said in other words: ROWNUM as a limit
-- 17:1: RC0609 adapted: Said in other words: ROWNUM as a limit
-- 17:15: RC0609 adapted: Said in other words: a name for the query in FROM
-- 18:8: RC0609 adapted: Said in other words: decode in other words
-- 18:50: RC0608 adapted: Function spelled otherwise: NVL means coalesce
-- 18:75: RC0609 adapted: Said in other words: days added to a date
-- 18:136: RC0609 adapted: Said in other words: the mask DD.MM.YYYY is dd.MM.yyyy
-- 18:151: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 19:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 19:1: RC0627 check: Said in other words, with a difference: the rows come in no particular order, not depth first
-- 20:8: RC0608 adapted: Function spelled otherwise: LISTAGG means string_agg
-- 22:1: RC0609 adapted: Said in other words: INSERT ALL as one INSERT for each table
-- 25:1: RC0603 by hand: Code is not translated: a trigger, which is not written for this target from this source
-- 30:8: RC0605 adapted: Hint left out: /*+ INDEX(a i) */
-- 30:1: RC0609 adapted: Said in other words: FOR UPDATE as locks of the tables
-- 31:45: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 31:15: RC0609 adapted: Said in other words: a name for the query in FROM
-- 32:1: RC0626 check: Right in other words: WITH READ ONLY: grant nothing but SELECT on the view
-- 34:1: RC0604 adapted: Client command left out: EXIT
-- 38:1: RC0609 adapted: Said in other words: nn_band is the name of a column's option
-- 38:1: RC0609 adapted: Said in other words: the whole definition of band
-- 39:1: RC0609 adapted: Said in other words: the whole definition of band
-- 40:1: RC0609 adapted: Said in other words: nn_again is the name of a column's option
-- 40:1: RC0609 adapted: Said in other words: the whole definition of band
