-- to: mariadb
SET CLUSTER SETTING a.b = 1;
CREATE TABLE telescope (id INT8 NOT NULL DEFAULT unique_rowid(), name STRING(100) NOT NULL, b BYTES, u UUID DEFAULT gen_random_uuid(), j JSONB, ts TIMESTAMPTZ DEFAULT now():::TIMESTAMPTZ, CONSTRAINT "primary" PRIMARY KEY (id ASC) USING HASH WITH (bucket_count=8), UNIQUE INDEX ux (name ASC) STORING (b), INVERTED INDEX ij (j), FAMILY f1 (id, name), FAMILY f2 (b), a STRING AS (lower(name)) STORED, INDEX (name) WHERE name > 'a') INTERLEAVE IN PARENT o (id);
CREATE TABLE r (id INT PRIMARY KEY, crdb_region crdb_internal_region) LOCALITY REGIONAL BY ROW;
UPSERT INTO telescope (id, name) VALUES (1, 'a');
INSERT INTO telescope (id, name) VALUES (1, 'a') ON CONFLICT (id) DO NOTHING RETURNING NOTHING;
SELECT * FROM telescope@ux WHERE id = 1;
SELECT * FROM telescope@{FORCE_INDEX=ux} AS OF SYSTEM TIME '-10s';
SELECT id::STRING, name::STRING COLLATE en, 5 // 2, experimental_strftime(ts, '%Y') FROM [SHOW TABLES];
CREATE CHANGEFEED FOR telescope;
BACKUP TO 'x';
ALTER TABLE telescope CONFIGURE ZONE USING num_replicas = 3;
ALTER TABLE telescope SPLIT AT VALUES (1);
SHOW RANGES FROM TABLE telescope;
DELETE FROM telescope WHERE id = 1 LIMIT 5;
UPDATE telescope SET name = 'a' ORDER BY id LIMIT 2;
EXPERIMENTAL SCRUB TABLE telescope;
CREATE DATABASE IF NOT EXISTS x;
