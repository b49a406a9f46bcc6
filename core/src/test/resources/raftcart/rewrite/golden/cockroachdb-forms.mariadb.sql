-- to: mariadb
CREATE TABLE telescope (
    id bigint AUTO_INCREMENT NOT NULL,
    name varchar(100) NOT NULL,
    b longblob,
    u uuid DEFAULT (UUID()),
    j json,
    ts datetime(6),
    a longtext GENERATED ALWAYS AS (LOWER(name)) STORED,
    CONSTRAINT `primary` PRIMARY KEY (id),
    CONSTRAINT ux UNIQUE (name)
) COLLATE utf8mb4_nopad_bin;
CREATE INDEX telescope_name_idx ON telescope (name);
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
-- 3:1: RC0502 adapted: Storage clauses left out: FAMILY f1 (id , name)
-- 3:1: RC0502 adapted: Storage clauses left out: FAMILY f2 (b)
-- 3:1: RC0502 adapted: Storage clauses left out: INTERLEAVE IN PARENT o (id)
-- 3:25: RC0627 check: Said in other words, with a difference: id: left out: numbers for it by unique_rowid(), which are of the clock
-- 3:117: RC0608 adapted: Function spelled otherwise: gen_random_uuid means new_uuid
-- 3:145: RC0114 check: Instant becomes date and time in UTC: ts: datetime(6) in UTC
-- 3:145: RC0627 check: Said in other words, with a difference: the default of ts is left out: MariaDB has no cast to timestamps with a zone
-- 3:189: RC0502 adapted: Storage clauses left out: USING HASH
-- 3:189: RC0502 adapted: Storage clauses left out: WITH (bucket_count = 8)
-- 3:265: RC0502 adapted: Storage clauses left out: INCLUDE (b)
-- 3:305: RC0627 check: Said in other words, with a difference: the index ij is left out, as the target has none on long texts and bytes such as j
-- 3:399: RC0407 check: Partial index covers all rows: all rows are indexed
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
