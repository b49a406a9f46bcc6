-- to: postgresql
BEGIN;
-- RC0602 by hand: No counterpart on the target: ON CONFLICT of a key
-- CREATE TABLE "telescope" (id INTEGER PRIMARY KEY AUTOINCREMENT, name TEXT NOT NULL COLLATE NOCASE, ap REAL DEFAULT 0.0, d DATETIME DEFAULT (datetime('now')), b BLOB, x, FOREIGN KEY (x) REFERENCES o(id) ON DELETE CASCADE, UNIQUE (name) ON CONFLICT REPLACE) STRICT
CREATE TABLE w (
    a text,
    b bigint,
    PRIMARY KEY (a, b)
);
INSERT INTO telescope VALUES (1, 'a''b', 1.5, '2020-01-01', '\x4142'::bytea, NULL);
CREATE INDEX ix ON telescope (name DESC) WHERE x IS NOT NULL;
-- RC0602 by hand: No counterpart on the target: virtual
-- CREATE VIRTUAL TABLE f USING fts5(a, b)
-- RC0603 by hand: Code is not translated: trigger
-- CREATE TRIGGER t AFTER INSERT ON telescope BEGIN UPDATE telescope SET x = 1; DELETE FROM w; END
-- RC0602 by hand: No counterpart on the target: the function printf with 2 argument(s) has no counterpart in postgresql
-- SELECT date('now','+1 day'), strftime('%Y-%m-%d', d), julianday(d), ifnull(a, b), printf('%d', 5), substr(a, 2), instr(a, 'b'), group_concat(a, ','), random(), typeof(x), last_insert_rowid(), changes(), json_extract(x, '$.a'), x ->> '$.a', total(ap), iif(a, 1, 2), glob('a*', name), name GLOB 'a*', a IS b, a == b, hex(b), zeroblob(5), unixepoch(d), replace(a, 'b', 'c') FROM telescope
-- RC0602 by hand: No counterpart on the target: an upsert of telescope, whose keys are not known; translate its CREATE TABLE in the same run
-- INSERT OR REPLACE INTO telescope (id, name) VALUES (1, 'x')
INSERT INTO telescope (id) VALUES (1) ON CONFLICT DO NOTHING;
INSERT INTO telescope (id) VALUES (1) ON CONFLICT (id) DO UPDATE SET name = excluded.name RETURNING id;
SELECT ctid, * FROM telescope LIMIT 5 OFFSET 2;
-- RC0602 by hand: No counterpart on the target: the session's variable @q
-- SELECT * FROM telescope WHERE name = "it" AND id = ?1 AND x = :p AND y = @q AND z = $r
-- RC0602 by hand: No counterpart on the target: an upsert without a list of columns, of a table that is not known
-- REPLACE INTO telescope VALUES (1,2,3,4,5,6)
UPDATE telescope SET x = 1 FROM w WHERE w.a = telescope.name;
ALTER TABLE telescope RENAME COLUMN x TO y;
CREATE TEMPORARY VIEW v AS
SELECT 1 AS column_1;
COMMIT;

-- findings
-- 2:1: RC0604 adapted: Client command left out: PRAGMA foreign_keys = OFF
-- 4:236: RC0602 by hand: No counterpart on the target: ON CONFLICT of a key
-- 5:1: RC0502 adapted: Storage clauses left out: WITHOUT ROWID
-- 7:1: RC0502 adapted: Storage clauses left out: COLLATE NOCASE
-- 8:1: RC0602 by hand: No counterpart on the target: virtual
-- 9:1: RC0603 by hand: Code is not translated: trigger
-- 10:1: RC0602 by hand: No counterpart on the target: the function printf with 2 argument(s) has no counterpart in postgresql
-- 11:1: RC0602 by hand: No counterpart on the target: an upsert of telescope, whose keys are not known; translate its CREATE TABLE in the same run
-- 12:1: RC0623 check: Upsert with a difference: IGNORE also passes over other errors
-- 14:32: RC0605 adapted: Hint left out: INDEXED BY ix
-- 14:8: RC0627 check: Said in other words, with a difference: a row's address: of another form, and for use within one statement only
-- 15:1: RC0602 by hand: No counterpart on the target: the session's variable @q
-- 16:1: RC0604 adapted: Client command left out: ATTACH DATABASE 'x.db' AS x
-- 17:1: RC0602 by hand: No counterpart on the target: an upsert without a list of columns, of a table that is not known
-- 20:30: RC0627 check: Said in other words, with a difference: the column has no name of its own and is called column_1 here; engines call it in different ways
-- 21:1: RC0604 adapted: Client command left out: VACUUM
