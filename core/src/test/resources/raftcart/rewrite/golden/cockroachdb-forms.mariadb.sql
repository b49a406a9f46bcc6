-- to: mariadb
-- RC0601 by hand: Statement not understood: found 'STORING', expected ')'
-- CREATE TABLE telescope (id INT8 NOT NULL DEFAULT unique_rowid(), name STRING(100) NOT NULL, b BYTES, u UUID DEFAULT gen_random_uuid(), j JSONB, ts TIMESTAMPTZ DEFAULT now():::TIMESTAMPTZ, CONSTRAINT "primary" PRIMARY KEY (id ASC) USING HASH WITH (bucket_count=8), UNIQUE INDEX ux (name ASC) STORING (b), INVERTED INDEX ij (j), FAMILY f1 (id, name), FAMILY f2 (b), a STRING AS (lower(name)) STORED, INDEX (name) WHERE name > 'a') INTERLEAVE IN PARENT o (id)
CREATE TABLE r (
    id bigint PRIMARY KEY,
    crdb_region longtext
);
-- RC0602 by hand: No counterpart on the target: UPSERT
-- UPSERT INTO telescope (id, name) VALUES (1, 'a')
INSERT IGNORE INTO telescope (id, name) VALUES (1, 'a') RETURNING NOTHING;
-- RC0602 by hand: No counterpart on the target: a table of another database
-- SELECT * FROM telescope@ux WHERE id = 1
-- RC0602 by hand: No counterpart on the target: a table of another database
-- SELECT * FROM telescope@{FORCE_INDEX=ux} AS OF SYSTEM TIME '-10s'
-- RC0602 by hand: No counterpart on the target: a command as a table
-- SELECT id::STRING, name::STRING COLLATE en, 5 // 2, experimental_strftime(ts, '%Y') FROM [SHOW TABLES]
-- RC0602 by hand: No counterpart on the target: changefeed
-- CREATE CHANGEFEED FOR telescope
-- RC0602 by hand: No counterpart on the target: BACKUP
-- BACKUP TO 'x'
-- RC0602 by hand: No counterpart on the target: the settings of a zone
-- ALTER TABLE telescope CONFIGURE ZONE USING num_replicas = 3
-- RC0602 by hand: No counterpart on the target: SHOW
-- SHOW RANGES FROM TABLE telescope
DELETE FROM telescope WHERE id = 1 LIMIT 5;
UPDATE telescope SET name = 'a' ORDER BY id LIMIT 2;
-- RC0602 by hand: No counterpart on the target: EXPERIMENTAL
-- EXPERIMENTAL SCRUB TABLE telescope
CREATE DATABASE IF NOT EXISTS x;

-- findings
-- 2:1: RC0604 adapted: Client command left out: SET CLUSTER SETTING a . b = 1
-- 3:292: RC0601 by hand: Statement not understood: found 'STORING', expected ')'
-- 4:1: RC0502 adapted: Storage clauses left out: LOCALITY REGIONAL BY ROW
-- 4:37: RC0111 check: Type without counterpart crosses as text or bytes: crdb_region: crdb_internal_region as longtext
-- 5:1: RC0602 by hand: No counterpart on the target: UPSERT
-- 6:88: RC0606 check: Function is not in the dictionary: NOTHING
-- 6:1: RC0623 check: Upsert with a difference: the target looks at all keys of the table
-- 7:24: RC0602 by hand: No counterpart on the target: a table of another database
-- 8:24: RC0602 by hand: No counterpart on the target: a table of another database
-- 9:90: RC0602 by hand: No counterpart on the target: a command as a table
-- 10:1: RC0602 by hand: No counterpart on the target: changefeed
-- 11:1: RC0602 by hand: No counterpart on the target: BACKUP
-- 12:23: RC0602 by hand: No counterpart on the target: the settings of a zone
-- 13:1: RC0502 adapted: Storage clauses left out: SPLIT AT VALUES (1)
-- 14:1: RC0602 by hand: No counterpart on the target: SHOW
-- 17:1: RC0602 by hand: No counterpart on the target: EXPERIMENTAL
