-- to: postgresql
-- RC0602 by hand: No counterpart on the target: LOAD
-- LOAD httpfs
DROP TABLE IF EXISTS telescope;
CREATE TABLE telescope (
    id integer DEFAULT NEXTVAL('sq') PRIMARY KEY,
    name text,
    l integer[],
    s text,
    m text,
    h numeric(39,0),
    u uuid,
    ts timestamp(6) without time zone,
    e text,
    g bigint GENERATED ALWAYS AS (id + 1) STORED,
    dec numeric(18,3),
    ubig numeric(20,0) CHECK (ubig BETWEEN 0 AND 18446744073709551615),
    un text
);
-- RC0603 by hand: Code is not translated: macro
-- CREATE MACRO add1(a) AS a + 1
CREATE TABLE t2 AS
SELECT id FROM telescope WHERE id > 5;
-- RC0602 by hand: No counterpart on the target: a star with REPLACE
-- SELECT * EXCLUDE (l) REPLACE (id + 1 AS id) FROM telescope
-- RC0602 by hand: No counterpart on the target: columns chosen by a pattern
-- SELECT COLUMNS('a.*') FROM telescope
SELECT * FROM telescope;
-- RC0602 by hand: No counterpart on the target: a list made by a loop
-- SELECT l[1], l[1:2], list_value(1,2), [x + 1 for x in l], s.a, s['a'], {'a': 1}, map {'a': 1}, list_transform(l, x -> x + 1), unnest(l), struct_pack(a := 1), strftime(ts, '%Y'), date_diff('day', ts, now()), epoch(ts), regexp_matches(name, 'a'), string_split(name, ','), list_aggregate(l, 'sum'), name.upper(), arg_max(name, id), quantile_cont(id, 0.5), id // 2, id ** 2, name ^@ 'a' FROM telescope
-- RC0602 by hand: No counterpart on the target: a share of the rows, or rows WITH TIES cannot be said in postgresql
-- SELECT id, count(*) FROM telescope GROUP BY ALL ORDER BY ALL LIMIT 10%
-- RC0602 by hand: No counterpart on the target: a sample of a query
-- SELECT * FROM telescope USING SAMPLE 10%
-- RC0602 by hand: No counterpart on the target: a file as a table
-- SELECT * FROM read_csv('x.csv'), 'y.parquet'
-- RC0602 by hand: No counterpart on the target: PIVOT
-- PIVOT telescope ON name USING sum(id)
-- RC0602 by hand: No counterpart on the target: UNPIVOT
-- UNPIVOT telescope ON a, b INTO NAME n VALUE v
-- RC0602 by hand: No counterpart on the target: ASOF JOIN
-- SELECT * FROM a ASOF JOIN b ON a.ts >= b.ts
-- RC0602 by hand: No counterpart on the target: SEMI JOIN
-- SELECT * FROM a SEMI JOIN b USING (id)
-- RC0602 by hand: No counterpart on the target: POSITIONAL JOIN
-- SELECT * FROM a POSITIONAL JOIN b
INSERT INTO telescope (id) SELECT 1 AS id ON CONFLICT DO NOTHING;
INSERT INTO telescope (id) VALUES (1) ON CONFLICT DO NOTHING;
-- RC0602 by hand: No counterpart on the target: COPY
-- COPY telescope TO 'x.parquet' (FORMAT PARQUET)
-- RC0602 by hand: No counterpart on the target: EXPORT
-- EXPORT DATABASE 'x'
-- RC0602 by hand: No counterpart on the target: SUMMARIZE
-- SUMMARIZE telescope
SELECT name
FROM (SELECT name AS name, ROW_NUMBER() OVER (PARTITION BY name) AS row_rank_2 FROM telescope) ranked_
WHERE row_rank_2 = 1;
SELECT DISTINCT ON (name) name, id FROM telescope ORDER BY name, id DESC;
-- RC0601 by hand: Statement not understood: found ':', expected the end of the statement
-- SELECT x: 5, 1 AS "a b"

-- findings
-- 2:1: RC0604 adapted: Client command left out: INSTALL httpfs
-- 2:17: RC0602 by hand: No counterpart on the target: LOAD
-- 3:1: RC0502 adapted: Storage clauses left out: OR REPLACE
-- 3:109: RC0111 check: Type without counterpart crosses as text or bytes: s: struct(a integer , b varchar) as text
-- 3:141: RC0111 check: Type without counterpart crosses as text or bytes: m: map(varchar , integer) as text
-- 3:185: RC0119 check: Numbers may lose digits: ts: timestamp(6) without time zone: fractions of a second lose 3 digit(s)
-- 3:202: RC0111 check: Type without counterpart crosses as text or bytes: e: kind as text
-- 3:244: RC0101 adapted: Unsigned range kept by a check: ubig: numeric(20,0) for unsigned 64 bits
-- 3:258: RC0111 check: Type without counterpart crosses as text or bytes: un: union(num int , str varchar) as text
-- 4:1: RC0105 adapted: Enumeration becomes a named type: kind: its columns get a check each
-- 5:1: RC0603 by hand: Code is not translated: macro
-- 7:22: RC0602 by hand: No counterpart on the target: a star with REPLACE
-- 8:15: RC0602 by hand: No counterpart on the target: columns chosen by a pattern
-- 10:46: RC0602 by hand: No counterpart on the target: a list made by a loop
-- 11:1: RC0602 by hand: No counterpart on the target: a share of the rows, or rows WITH TIES cannot be said in postgresql
-- 12:25: RC0602 by hand: No counterpart on the target: a sample of a query
-- 13:34: RC0602 by hand: No counterpart on the target: a file as a table
-- 14:1: RC0602 by hand: No counterpart on the target: PIVOT
-- 15:1: RC0602 by hand: No counterpart on the target: UNPIVOT
-- 16:17: RC0602 by hand: No counterpart on the target: ASOF JOIN
-- 17:17: RC0602 by hand: No counterpart on the target: SEMI JOIN
-- 18:17: RC0602 by hand: No counterpart on the target: POSITIONAL JOIN
-- 21:1: RC0602 by hand: No counterpart on the target: COPY
-- 22:1: RC0602 by hand: No counterpart on the target: EXPORT
-- 23:1: RC0602 by hand: No counterpart on the target: SUMMARIZE
-- 24:1: RC0604 adapted: Client command left out: DESCRIBE telescope
-- 25:1: RC0609 adapted: Said in other words: QUALIFY as a query around the query
-- 27:9: RC0601 by hand: Statement not understood: found ':', expected the end of the statement
-- 28:1: RC0604 adapted: Client command left out: SET threads = 4
-- 29:1: RC0604 adapted: Client command left out: ATTACH 'x.db' AS x
