PRAGMA foreign_keys=OFF;
BEGIN TRANSACTION;
CREATE TABLE frame (
  frame_id INTEGER PRIMARY KEY AUTOINCREMENT,
  guid TEXT DEFAULT (lower(hex(randomblob(16)))),
  code TEXT NOT NULL DEFAULT 'F' COLLATE NOCASE,
  taken DATETIME DEFAULT CURRENT_TIMESTAMP,
  night DATE DEFAULT (date('now')),
  stamp INTEGER DEFAULT (strftime('%s','now')),
  flag BOOLEAN NOT NULL DEFAULT 0 CHECK (flag IN (0, 1)),
  flux REAL DEFAULT 0.0 CHECK (flux >= 0),
  note TEXT,
  up TEXT GENERATED ALWAYS AS (upper(code)) VIRTUAL,
  half REAL AS (flux / 2) STORED,
  UNIQUE (code),
  CHECK (length(code) > 0 AND code NOT GLOB '*[!A-Za-z0-9]*')
);
CREATE TABLE "frame_log" ("log_id" INTEGER NOT NULL PRIMARY KEY, "frame_id" INTEGER REFERENCES frame(frame_id) ON DELETE CASCADE, "at" TEXT NOT NULL DEFAULT (datetime('now'))) WITHOUT ROWID;
CREATE INDEX ix1 ON frame (taken DESC) WHERE flag = 1;
CREATE INDEX ix2 ON frame (lower(note));
CREATE VIEW v1 AS SELECT frame_id, ifnull(note, 'none') AS note, strftime('%Y-%m', taken) AS t, CASE flag WHEN 1 THEN 'yes' ELSE 'no' END AS y, substr(code, 1, instr(code, '-') - 1) AS p FROM frame LIMIT 100;
CREATE VIEW v2 AS SELECT flag, count(*) AS n, group_concat(code, ',') AS codes, max(taken) AS latest FROM frame GROUP BY flag;
INSERT INTO frame (frame_id, code, taken, flag, flux) VALUES (1, 'F1', '2026-03-01 22:10:00', 1, 1.5), (2, 'F2', '2026-03-02 01:02:03', 0, 0.25);
INSERT INTO "frame_log" VALUES (1, 1, '2026-03-01 22:11:00');
DELETE FROM sqlite_sequence;
INSERT INTO sqlite_sequence VALUES('frame', 2);
COMMIT;
