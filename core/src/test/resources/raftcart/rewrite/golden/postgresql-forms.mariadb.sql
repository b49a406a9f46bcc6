-- to: mariadb
-- RC0602 by hand: No counterpart on the target: extension citext
-- CREATE EXTENSION IF NOT EXISTS citext WITH SCHEMA public
CREATE TABLE telescope (
    id bigint NOT NULL,
    name varchar(100) COLLATE utf8mb4_nopad_bin DEFAULT 'x' NOT NULL,
    k enum('refractor', 'reflector') DEFAULT 'refractor',
    tags json DEFAULT '[]',
    doc json DEFAULT '{}',
    ts datetime(3) DEFAULT CURRENT_TIMESTAMP(3),
    tz datetime(6) DEFAULT (UTC_TIMESTAMP(6)),
    u uuid DEFAULT (UUID()),
    iv longtext,
    ip longtext,
    b longblob,
    n decimal(65,30),
    m decimal(19,2),
    bo tinyint(1) DEFAULT TRUE,
    r longtext,
    bt varchar(5),
    x longtext,
    tv longtext,
    p longtext,
    cc longtext,
    dd date DEFAULT (CURRENT_DATE),
    g longtext GENERATED ALWAYS AS (LOWER(name)) STORED,
    CONSTRAINT ck CHECK (name <> '')
);
CREATE SEQUENCE telescope_id_seq START WITH 1 INCREMENT BY 1 CACHE 1;
ALTER TABLE telescope ALTER COLUMN id SET DEFAULT NEXTVAL(telescope_id_seq);
CREATE TABLE obs (
    id int AUTO_INCREMENT,
    tid bigint,
    at datetime(6) NOT NULL,
    v float,
    FOREIGN KEY (tid) REFERENCES telescope ON DELETE CASCADE,
    PRIMARY KEY (id, at)
);
ALTER TABLE obs AUTO_INCREMENT = 5;
CREATE TABLE child (
    id bigint DEFAULT (NEXTVAL(telescope_id_seq)) NOT NULL,
    name varchar(100) COLLATE utf8mb4_nopad_bin DEFAULT 'x' NOT NULL,
    k enum('refractor', 'reflector') DEFAULT 'refractor',
    tags json DEFAULT '[]',
    doc json DEFAULT '{}',
    ts datetime(3) DEFAULT CURRENT_TIMESTAMP(3),
    tz datetime(6) DEFAULT (UTC_TIMESTAMP(6)),
    u uuid DEFAULT (UUID()),
    iv longtext,
    ip longtext,
    b longblob,
    n decimal(65,30),
    m decimal(19,2),
    bo tinyint(1) DEFAULT TRUE,
    r longtext,
    bt varchar(5),
    x longtext,
    tv longtext,
    p longtext,
    cc longtext,
    dd date DEFAULT (CURRENT_DATE),
    g longtext COLLATE utf8mb4_nopad_bin,
    extra int
);
CREATE TABLE ul LIKE telescope;
ALTER TABLE telescope ADD CONSTRAINT telescope_pkey PRIMARY KEY (id);
-- RC0602 by hand: No counterpart on the target: security of single rows
-- ALTER TABLE telescope ADD COLUMN IF NOT EXISTS z int DEFAULT 5, ALTER COLUMN name TYPE text USING name::text, ALTER name SET NOT NULL, DROP CONSTRAINT IF EXISTS ck CASCADE, ADD UNIQUE (name), ENABLE ROW LEVEL SECURITY
-- RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- CREATE INDEX CONCURRENTLY IF NOT EXISTS ix ON public.telescope USING btree (lower((name)::text) text_pattern_ops, ts DESC NULLS LAST) INCLUDE (n) WHERE (bo IS TRUE)
-- RC0602 by hand: No counterpart on the target: NULLS NOT DISTINCT
-- CREATE UNIQUE INDEX ux ON telescope (name) NULLS NOT DISTINCT
CREATE VIEW v AS
SELECT
    t.id,
    CASE JSON_TYPE(JSON_EXTRACT(t.doc, '$.a')) WHEN 'STRING' THEN JSON_VALUE(t.doc, '$.a') WHEN 'NULL' THEN NULL ELSE JSON_EXTRACT(t.doc, '$.a') END AS a
FROM telescope t
WHERE t.name LIKE 'a%'
WITH LOCAL CHECK OPTION;
-- RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
-- CREATE MATERIALIZED VIEW mv AS SELECT count(*) AS c FROM telescope WITH NO DATA
DELIMITER //
CREATE FUNCTION f(a int) RETURNS int
DETERMINISTIC NO SQL SQL SECURITY INVOKER
BEGIN
    RETURN a + 1;
END//
DELIMITER ;
-- RC0603 by hand: Code is not translated: an operation on tags (an array), a type that the target does not have
-- CREATE TRIGGER t1 BEFORE UPDATE ON telescope FOR EACH ROW WHEN (old.* IS DISTINCT FROM new.*) EXECUTE FUNCTION tr()
-- RC0603 by hand: Code is not translated: rule
-- CREATE RULE r AS ON INSERT TO v DO INSTEAD NOTHING
-- RC0602 by hand: No counterpart on the target: policy
-- CREATE POLICY p ON telescope USING (true)
ALTER TABLE telescope COMMENT = 'scopes';
INSERT INTO telescope (id, name, bo) VALUES (1, 'it''s', TRUE), (2, NULL, FALSE);
ALTER SEQUENCE telescope_id_seq RESTART WITH 43;
GRANT SELECT ON telescope TO app;
-- RC0602 by hand: No counterpart on the target: ALTER DEFAULT
-- ALTER DEFAULT PRIVILEGES IN SCHEMA public GRANT SELECT ON TABLES TO app
SELECT *
FROM (
    SELECT
        telescope.*,
        ROW_NUMBER() OVER (PARTITION BY k ORDER BY CASE WHEN k IS NULL THEN 1 ELSE 0 END, k, CASE WHEN ts IS NULL THEN 0 ELSE 1 END, ts DESC) AS row_rank_
    FROM telescope
) ranked_
WHERE row_rank_ = 1
ORDER BY CASE WHEN k IS NULL THEN 1 ELSE 0 END, k, CASE WHEN ts IS NULL THEN 0 ELSE 1 END, ts DESC;
-- RC0602 by hand: No counterpart on the target: a function that gives rows, among the columns
-- SELECT id, doc->'a'->>'b', doc #>> '{a,b}', doc @> '{"a":1}', doc ? 'a', tags[1], tags[1:2], 'x' = ANY(tags), ARRAY[1,2] || 3, array_length(tags, 1), unnest(tags), jsonb_array_elements(doc), (p).x FROM telescope
-- RC0602 by hand: No counterpart on the target: the interval '5 min'
-- SELECT ts::date, ts AT TIME ZONE 'UTC', date_trunc('month', ts), EXTRACT(epoch FROM ts), age(ts), ts + interval '1 month 2 days', ts - '1 hour'::interval, to_char(ts, 'YYYY-MM-DD"T"HH24:MI:SS'), now() - ts > interval '5 min', date_part('year', ts), make_date(2020,1,1), justify_days(iv), (ts, ts) OVERLAPS (ts, ts), 'infinity'::timestamp FROM telescope
-- RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- SELECT name ILIKE '%a%', name ~* 'x', name !~ 'y', name SIMILAR TO '(a|b)%', regexp_replace(name, 'a', 'b', 'gi'), split_part(name, ',', 1), string_agg(name, ',' ORDER BY name) FILTER (WHERE bo), array_agg(DISTINCT id), position('a' in name), substring(name from 2 for 3), overlay(name placing 'x' from 1), trim(both 'x' from name), left(name, -1), format('%s-%s', a, b), initcap(name), translate(name, 'a', 'b'), md5(name), encode(b, 'hex'), quote_ident(name), concat(a, NULL), a || NULL, repeat('a', 3), lpad(name, 5), chr(65), starts_with(name, 'a'), string_to_array(name, ',') FROM telescope
SELECT
    COALESCE(a, b),
    NULLIF(a, b),
    GREATEST(COALESCE(a, b), COALESCE(b, a)),
    NOT (a <=> b),
    bo IS NOT TRUE,
    CASE a WHEN 1 THEN 'x' END,
    CAST(a AS signed) DIV 2,
    7 DIV 2,
    7 % 2,
    POWER(2, 3),
    SQRT(9),
    ABS(-5),
    CAST(a & b AS SIGNED),
    CAST(a ^ b AS SIGNED),
    CAST(~a AS SIGNED),
    a NOT IN (1, 2),
    (a, b) < (1, 2),
    RAND(),
    (7 DIV 2),
    CASE WHEN a < 1 THEN 0 WHEN a >= 10 THEN 5 + 1 WHEN a IS NOT NULL THEN FLOOR((a - 1) * 5 / (10 - 1)) + 1 END,
    rows_.generate_series AS generate_series,
    ROUND(1.5, 1),
    TRUNCATE(1.55, 1),
    (SIGN(27) * POWER(ABS(27), 1e0 / 3))
FROM t, (SELECT CAST(seq AS signed) AS generate_series FROM seq_1_to_5) rows_;
-- RC0602 by hand: No counterpart on the target: ROWS FROM
-- SELECT * FROM generate_series('2020-01-01'::date, '2020-01-05', '1 day') AS g(d), LATERAL (SELECT 1) l, unnest(ARRAY[1,2]) WITH ORDINALITY AS u(v, o), json_to_recordset('[]') AS r(a int, b text), ROWS FROM (f(1), f(2)) x
-- RC0602 by hand: No counterpart on the target: the column xmax of every row
-- INSERT INTO telescope (id, name) VALUES (1, 'a'), (2, DEFAULT) ON CONFLICT (id) DO UPDATE SET name = EXCLUDED.name WHERE telescope.bo RETURNING id, xmax
INSERT INTO telescope (id) VALUES (DEFAULT);
INSERT IGNORE INTO telescope SELECT * FROM t2;
-- RC0602 by hand: No counterpart on the target: RETURNING of an UPDATE cannot be said in mariadb
-- UPDATE telescope t SET (name, n) = ROW('a', 1), z = DEFAULT FROM obs o WHERE o.tid = t.id RETURNING t.*
DELETE FROM telescope WHERE EXISTS (SELECT 1 FROM obs WHERE obs.tid = telescope.id);
-- RC0602 by hand: No counterpart on the target: a WITH that changes rows
-- WITH d AS (DELETE FROM telescope WHERE id < 5 RETURNING *) INSERT INTO old SELECT * FROM d
-- RC0602 by hand: No counterpart on the target: SEARCH and CYCLE clauses
-- WITH RECURSIVE t(n) AS (VALUES (1) UNION ALL SELECT n+1 FROM t WHERE n < 100) SEARCH DEPTH FIRST BY n SET o SELECT sum(n) FROM t
-- RC0602 by hand: No counterpart on the target: a MERGE of this form
-- MERGE INTO telescope t USING obs o ON t.id = o.tid WHEN MATCHED AND o.v > 5 THEN UPDATE SET n = o.v WHEN NOT MATCHED THEN DO NOTHING
SELECT * FROM telescope FOR UPDATE NOWAIT;
-- RC0602 by hand: No counterpart on the target: a sample of a table cannot be said in mariadb
-- SELECT * FROM telescope TABLESAMPLE BERNOULLI (10) REPEATABLE (5) LIMIT ALL OFFSET 5
-- RC0602 by hand: No counterpart on the target: a column beside several groupings that is not among them
-- SELECT rank() OVER (PARTITION BY k ORDER BY n DESC ROWS BETWEEN 1 PRECEDING AND CURRENT ROW EXCLUDE TIES), percentile_disc(0.5) WITHIN GROUP (ORDER BY n), grouping(k) FROM telescope GROUP BY ROLLUP (k), CUBE (a, b), GROUPING SETS ((a), ())
SELECT CAST(? AS signed), ?, :name FROM t WHERE a = ?;
SELECT
    'a
b',
    'A',
    B'101',
    B'01001010',
    'it''s',
    'x',
    1000,
    'ab';
SELECT * FROM telescope;
VALUES (1, 'a'), (2, 'b');
SELECT NULL FROM telescope;
DELIMITER //
BEGIN NOT ATOMIC
    BEGIN
    END;
END//
DELIMITER ;
-- RC0602 by hand: No counterpart on the target: EXPLAIN
-- EXPLAIN ANALYZE SELECT 1
START TRANSACTION; SAVEPOINT s; ROLLBACK TO SAVEPOINT s; COMMIT;
-- RC0602 by hand: No counterpart on the target: LOCK TABLE
-- LOCK TABLE telescope IN ACCESS EXCLUSIVE MODE
-- RC0603 by hand: Code is not translated: block of code
-- DECLARE c CURSOR FOR SELECT 1
CREATE TABLE ctas AS
SELECT * FROM (SELECT 1 AS a) source_rows_ WHERE 1 = 0;
CREATE TEMPORARY TABLE tt AS
SELECT a FROM t;
DROP TABLE IF EXISTS a;
DROP TABLE IF EXISTS b;
DROP INDEX ix ON telescope;
DROP FUNCTION IF EXISTS f;
DROP PROCEDURE IF EXISTS f;
CREATE DATABASE s;
-- RC0603 by hand: Code is not translated: aggregate
-- CREATE AGGREGATE agg (int) (SFUNC = int4pl, STYPE = int)
-- RC0602 by hand: No counterpart on the target: publication
-- CREATE PUBLICATION pub FOR ALL TABLES
-- RC0602 by hand: No counterpart on the target: statistics
-- CREATE STATISTICS st ON a, b FROM t
-- RC0602 by hand: No counterpart on the target: collation
-- CREATE COLLATION c (provider = icu, locale = 'x')
-- RC0602 by hand: No counterpart on the target: cast
-- CREATE CAST (a AS b) WITH FUNCTION f(a)
-- RC0602 by hand: No counterpart on the target: ALTER TYPE
-- ALTER TYPE kind ADD VALUE 'x'
-- RC0602 by hand: No counterpart on the target: REFRESH
-- REFRESH MATERIALIZED VIEW mv
-- RC0602 by hand: No counterpart on the target: ORDER BY ... USING
-- SELECT name COLLATE "C" FROM telescope ORDER BY name COLLATE "de_DE" USING >
-- RC0602 by hand: No counterpart on the target: XMLTABLE
-- SELECT x.* FROM xmltable('/a' PASSING x COLUMNS c int PATH 'b') x
-- RC0602 by hand: No counterpart on the target: XMLAGG
-- SELECT count(*) FILTER (WHERE bo), bool_and(bo), every(bo), jsonb_agg(x), json_build_object('a', 1), row_to_json(t), to_jsonb(t), xmlagg(x) FROM t
-- RC0602 by hand: No counterpart on the target: the function current_transaction has no counterpart in mariadb
-- SELECT nextval('telescope_id_seq'), currval('s'), lastval(), current_user, session_user, current_database(), version(), pg_backend_pid(), txid_current(), current_setting('x')
-- RC0603 by hand: Code is not translated: rule
-- CREATE OR REPLACE RULE dimmed AS ON UPDATE TO star WHERE (new.mag > 1) DO INSTEAD ( UPDATE star SET mag = 1
--   WHERE (star.id = old.id);
--  DELETE FROM star
--   WHERE (star.id = 9);
-- )
SELECT 6 AS behind_code;

-- findings
-- 2:1: RC0604 adapted: Client command left out: SET statement_timeout = 0
-- 3:1: RC0604 adapted: Client command left out: set_config
-- 4:1: RC0602 by hand: No counterpart on the target: extension citext
-- 5:1: RC0105 adapted: Enumeration becomes a named type: public.kind: its columns get a check each
-- 6:1: RC0609 adapted: Said in other words: the type public.pair is left out: variables for its rows say their fields
-- 7:1: RC0609 adapted: Said in other words: public.posint: its columns get the type and the checks themselves
-- 8:1: RC0502 adapted: Storage clauses left out: WITH (fillfactor = '70')
-- 10:5: RC0115 check: Array becomes a JSON array: tags: array as json
-- 10:39: RC0118 check: JSON without the source's own comparison: doc: jsonb as json
-- 10:119: RC0114 check: Instant becomes date and time in UTC: tz: datetime(6) in UTC
-- 11:20: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 11:39: RC0111 check: Type without counterpart crosses as text or bytes: iv: interval as longtext
-- 11:39: RC0627 check: Said in other words, with a difference: the default of iv is left out: an interval as a value
-- 11:78: RC0111 check: Type without counterpart crosses as text or bytes: ip: inet as longtext
-- 11:96: RC0110 check: Number without precision is bounded: n: number without precision as decimal(65,30)
-- 11:141: RC0111 check: Type without counterpart crosses as text or bytes: r: int4range as longtext
-- 11:154: RC0111 check: Type without counterpart crosses as text or bytes: bt: bit string as text of zeros and ones
-- 11:173: RC0111 check: Type without counterpart crosses as text or bytes: x: xml as longtext
-- 11:180: RC0111 check: Type without counterpart crosses as text or bytes: tv: tsvector as longtext
-- 11:193: RC0111 check: Type without counterpart crosses as text or bytes: p: point as longtext
-- 13:55: RC0627 check: Said in other words, with a difference: a constraint that nothing else can say is left out: EXCLUDE USING gist (r WITH &&)
-- 8:1: RC0409 check: Accents do not count on the target: cc
-- 8:1: RC0609 adapted: Said in other words: the schema public is left out
-- 15:1: RC0609 adapted: Said in other words: the schema public is left out
-- 16:1: RC0502 adapted: Storage clauses left out: OWNED BY public.telescope.id
-- 17:1: RC0609 adapted: Said in other words: the schema public is left out
-- 18:86: RC0627 check: Said in other words, with a difference: name the columns of telescope that are meant
-- 18:156: RC0114 check: Instant becomes date and time in UTC: at: datetime(6) in UTC
-- 18:181: RC0116 check: NaN and infinity are refused: v: float
-- 18:1: RC0627 check: Said in other words, with a difference: the table is not partitioned (was by RANGE (at)): foreign keys and partitions exclude each other on the target
-- 18:86: RC0406 check: Foreign key is checked at once: checked at once
-- 19:1: RC0627 check: Said in other words, with a difference: the partition obs_2020 is left out; its rows belong to obs
-- 20:1: RC0627 check: Said in other words, with a difference: it has the columns of telescope, of which queries do not read its rows any more, but not its further checks and numbers
-- 10:5: RC0115 check: Array becomes a JSON array: tags: array as json
-- 10:39: RC0118 check: JSON without the source's own comparison: doc: jsonb as json
-- 10:119: RC0114 check: Instant becomes date and time in UTC: tz: datetime(6) in UTC
-- 11:20: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 11:39: RC0111 check: Type without counterpart crosses as text or bytes: iv: interval as longtext
-- 11:39: RC0627 check: Said in other words, with a difference: the default of iv is left out: an interval as a value
-- 11:78: RC0111 check: Type without counterpart crosses as text or bytes: ip: inet as longtext
-- 11:96: RC0110 check: Number without precision is bounded: n: number without precision as decimal(65,30)
-- 11:141: RC0111 check: Type without counterpart crosses as text or bytes: r: int4range as longtext
-- 11:154: RC0111 check: Type without counterpart crosses as text or bytes: bt: bit string as text of zeros and ones
-- 11:173: RC0111 check: Type without counterpart crosses as text or bytes: x: xml as longtext
-- 11:180: RC0111 check: Type without counterpart crosses as text or bytes: tv: tsvector as longtext
-- 11:193: RC0111 check: Type without counterpart crosses as text or bytes: p: point as longtext
-- 20:1: RC0409 check: Accents do not count on the target: cc
-- 20:1: RC0609 adapted: Said in other words: the schema public is left out
-- 21:1: RC0502 adapted: Storage clauses left out: UNLOGGED
-- 22:1: RC0609 adapted: Said in other words: the schema public is left out
-- 23:1: RC0502 adapted: Storage clauses left out: CLUSTER ON telescope_pkey
-- 24:1: RC0502 adapted: Storage clauses left out: OWNER TO app
-- 25:193: RC0602 by hand: No counterpart on the target: security of single rows
-- 26:1: RC0602 by hand: No counterpart on the target: an index on an expression cannot be said in mariadb
-- 27:1: RC0502 adapted: Storage clauses left out: jsonb_path_ops
-- 27:1: RC0627 check: Said in other words, with a difference: an index of the kind GIN is left out
-- 28:62: RC0602 by hand: No counterpart on the target: NULLS NOT DISTINCT
-- 29:1: RC0627 check: Said in other words, with a difference: functions of a query may see rows that the view does not show: WITH (security_barrier = 'true')
-- 29:1: RC0609 adapted: Said in other words: the schema public is left out
-- 30:1: RC0602 by hand: No counterpart on the target: a materialized view cannot be said in mariadb
-- 31:1: RC0609 adapted: Said in other words: code in the target's own language
-- 32:1: RC0609 adapted: Said in other words: code in the target's own language
-- 32:1: RC0609 adapted: Said in other words: what the function does goes into the triggers that call it
-- 33:1: RC0603 by hand: Code is not translated: an operation on tags (an array), a type that the target does not have
-- 34:1: RC0603 by hand: Code is not translated: rule
-- 35:1: RC0602 by hand: No counterpart on the target: policy
-- 36:1: RC0609 adapted: Said in other words: the schema public is left out
-- 37:1: RC0604 adapted: Client command left out: COMMENT ON FUNCTION
-- 39:1: RC0609 adapted: Said in other words: lines of data as INSERT
-- 42:1: RC0609 adapted: Said in other words: the schema public is left out
-- 43:1: RC0609 adapted: Said in other words: the schema public is left out
-- 44:1: RC0626 check: Right in other words: rights on the default schema are left out
-- 45:1: RC0626 check: Right in other words: rights on the default schema are left out
-- 46:1: RC0602 by hand: No counterpart on the target: ALTER DEFAULT
-- 47:50: RC0611 adapted: NULLs sorted as on the source: NULLs last
-- 47:53: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 47:1: RC0609 adapted: Said in other words: DISTINCT ON as a query around the query
-- 47:1: RC0627 check: Said in other words, with a difference: the star brings further columns, which hold the rank
-- 47:24: RC0609 adapted: Said in other words: a star for each table
-- 48:1: RC0602 by hand: No counterpart on the target: a function that gives rows, among the columns
-- 49:225: RC0602 by hand: No counterpart on the target: the interval '5 min'
-- 50:1: RC0602 by hand: No counterpart on the target: the function initcap with 1 argument(s) has no counterpart in mariadb
-- 51:271: RC0609 adapted: Said in other words: rows among the columns as a table
-- 51:271: RC0609 adapted: Said in other words: a series as a table of the engine
-- 51:38: RC0609 adapted: Said in other words: greatest_skip_nulls in other words
-- 51:127: RC0615 adapted: Division kept: without a fraction
-- 51:134: RC0615 adapted: Division kept: without a fraction
-- 51:244: RC0607 check: Function with a difference: width_bucket: the lower bound is taken to be the first
-- 52:207: RC0602 by hand: No counterpart on the target: ROWS FROM
-- 53:1: RC0602 by hand: No counterpart on the target: the column xmax of every row
-- 54:1: RC0609 adapted: Said in other words: a row of defaults by the default of one column
-- 55:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 56:1: RC0602 by hand: No counterpart on the target: RETURNING of an UPDATE cannot be said in mariadb
-- 57:1: RC0609 adapted: Said in other words: a DELETE that reads other tables, with EXISTS
-- 58:12: RC0602 by hand: No counterpart on the target: a WITH that changes rows
-- 59:79: RC0602 by hand: No counterpart on the target: SEARCH and CYCLE clauses
-- 60:1: RC0602 by hand: No counterpart on the target: a MERGE of this form
-- 61:1: RC0609 adapted: Said in other words: a lock of all tables without their names
-- 62:1: RC0602 by hand: No counterpart on the target: a sample of a table cannot be said in mariadb
-- 63:1: RC0602 by hand: No counterpart on the target: a column beside several groupings that is not among them
-- 64:1: RC0621 check: Parameters moved: bind those of the source in the order [1, 2, 1]
-- 65:28: RC0625 check: Types compared as on the source: bits, which are a number or bytes on one of the engines
-- 65:36: RC0625 check: Types compared as on the source: bits, which are a number or bytes on one of the engines
-- 70:13: RC0609 adapted: Said in other words: a text for whoever watches is left out
-- 71:1: RC0604 adapted: Client command left out: LISTEN ch
-- 71:12: RC0604 adapted: Client command left out: NOTIFY ch , 'x'
-- 72:1: RC0604 adapted: Client command left out: VACUUM ANALYZE telescope
-- 73:1: RC0602 by hand: No counterpart on the target: EXPLAIN
-- 75:1: RC0602 by hand: No counterpart on the target: LOCK TABLE
-- 76:1: RC0603 by hand: Code is not translated: block of code
-- 78:1: RC0609 adapted: Said in other words: SELECT INTO as CREATE TABLE AS
-- 79:1: RC0627 check: Said in other words, with a difference: without CASCADE, objects that depend on it stay or hinder it
-- 80:1: RC0609 adapted: Said in other words: the schema public is left out
-- 81:1: RC0627 check: Said in other words, with a difference: IF EXISTS, which the source does not say
-- 82:1: RC0502 adapted: Storage clauses left out: AUTHORIZATION app
-- 83:1: RC0603 by hand: Code is not translated: aggregate
-- 84:1: RC0602 by hand: No counterpart on the target: publication
-- 85:1: RC0602 by hand: No counterpart on the target: statistics
-- 86:1: RC0602 by hand: No counterpart on the target: collation
-- 87:1: RC0602 by hand: No counterpart on the target: cast
-- 88:1: RC0602 by hand: No counterpart on the target: ALTER TYPE
-- 89:1: RC0602 by hand: No counterpart on the target: REFRESH
-- 90:1: RC0604 adapted: Client command left out: REINDEX TABLE telescope
-- 91:70: RC0602 by hand: No counterpart on the target: ORDER BY ... USING
-- 92:25: RC0602 by hand: No counterpart on the target: XMLTABLE
-- 93:141: RC0602 by hand: No counterpart on the target: XMLAGG
-- 94:1: RC0602 by hand: No counterpart on the target: the function current_transaction has no counterpart in mariadb
-- 95:1: RC0603 by hand: Code is not translated: rule
