-- to: postgresql mysql sqlserver
CREATE TABLE obs_log (
    id bigint NOT NULL,
    star_id bigint CONSTRAINT fk_star REFERENCES star (id) ON DELETE CASCADE,
    note character varying(200),
    amount numeric,
    taken timestamp(0) without time zone DEFAULT LOCALTIMESTAMP NOT NULL,
    flag character(1) DEFAULT 'N' CHECK (flag IN ('Y', 'N')),
    CONSTRAINT pk_obs PRIMARY KEY (id)
);
COMMENT ON COLUMN obs_log.note IS 'free text';
CREATE SEQUENCE obs_seq START WITH 100 INCREMENT BY 1;
INSERT INTO obs_log (id, note, taken)
VALUES (NEXTVAL('obs_seq'), NULL, TIMESTAMP '2026-01-31 10:00:00');
SELECT a.id, b.name
FROM obs_log a
LEFT JOIN star b ON a.star_id = b.id
WHERE a.amount > 3
LIMIT 10;
SELECT * FROM (SELECT id, note FROM obs_log ORDER BY taken DESC LIMIT 5) t_17_15;
SELECT
    CASE flag WHEN 'Y' THEN 'yes' WHEN 'N' THEN 'no' ELSE '?' END,
    COALESCE(note, 'none'),
    (taken + 1 * INTERVAL '1 day'),
    (EXTRACT(EPOCH FROM taken) - EXTRACT(EPOCH FROM DATE '2026-01-01')) / 86400,
    DATE_TRUNC('day', taken),
    TO_CHAR(taken, 'DD.MM.YYYY'),
    COALESCE(note, '') || '-' || id
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
SELECT STRING_AGG(CAST(name AS text), ',' ORDER BY name) FROM star GROUP BY kind;
MERGE INTO star s
USING (SELECT 1 AS id, 'x' AS name) n
ON s.id = n.id
WHEN MATCHED THEN UPDATE SET name = n.name
WHEN NOT MATCHED THEN INSERT (id, name) VALUES (n.id, n.name);
INSERT INTO a (x) VALUES (1);
INSERT INTO b (y) VALUES (2);
SELECT LOCALTIMESTAMP, CURRENT_TIMESTAMP, CURRENT_USER;
SELECT a FROM t1
EXCEPT
SELECT b FROM t2;
CREATE OR REPLACE FUNCTION trg() RETURNS trigger
LANGUAGE plpgsql
AS $$
BEGIN
    new.id := NEXTVAL('obs_seq');
    RETURN new;
END;
$$;
CREATE TRIGGER trg BEFORE INSERT ON obs_log
FOR EACH ROW
EXECUTE FUNCTION trg();
SELECT 'it''s' FROM a FOR UPDATE NOWAIT;
SELECT *
FROM (
    SELECT SUM(CASE WHEN dept = 'A' THEN amt END) AS a, SUM(CASE WHEN dept = 'B' THEN amt END) AS b
    FROM (SELECT dept, amt FROM sales) t_31_15
) pivoted_;
CREATE OR REPLACE VIEW v AS
SELECT id FROM star;
CREATE TABLE plate_scan (
    id integer PRIMARY KEY,
    raw_image bytea,
    label character(3),
    note text
);

-- NOT NULL is a constraint that may have a name
CREATE TABLE plate (
    id integer CONSTRAINT pk_plate PRIMARY KEY,
    band character varying(3) DEFAULT 'V' NOT NULL
);
ALTER TABLE plate ALTER COLUMN band DROP NOT NULL;
ALTER TABLE plate ALTER COLUMN band SET NOT NULL;
ALTER TABLE plate ALTER COLUMN band DROP NOT NULL;
ALTER TABLE plate DROP CONSTRAINT pk_plate;

-- findings
-- 2:1: RC0604 adapted: Client command left out: SET DEFINE OFF;
-- 3:1: RC0604 adapted: Client command left out: PROMPT Creating tables
-- 4:1: RC0502 adapted: Storage clauses left out: TABLESPACE users PCTFREE 10
-- 4:1: RC0502 adapted: Storage clauses left out: STORAGE (INITIAL 64 K NEXT 1 M) LOGGING
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
-- 18:151: RC0613 check: Empty text and NULL: NULL adds nothing to a text, as on the source
-- 19:1: RC0609 adapted: Said in other words: CONNECT BY as a recursive query
-- 19:1: RC0627 check: Said in other words, with a difference: the rows come in no particular order, not depth first
-- 20:8: RC0609 adapted: Said in other words: values put together as texts
-- 22:1: RC0609 adapted: Said in other words: INSERT ALL as one INSERT for each table
-- 25:1: RC0609 adapted: Said in other words: code in the target's own language
-- 30:8: RC0605 adapted: Hint left out: /*+ INDEX(a i) */
-- 31:45: RC0609 adapted: Said in other words: PIVOT as aggregates of choices
-- 31:15: RC0609 adapted: Said in other words: a name for the query in FROM
-- 32:1: RC0626 check: Right in other words: WITH READ ONLY: grant nothing but SELECT on the view
-- 34:1: RC0604 adapted: Client command left out: EXIT
-- 38:1: RC0609 adapted: Said in other words: nn_band is the name of a column's option
-- 40:1: RC0609 adapted: Said in other words: nn_again is the name of a column's option
