CREATE TABLE frame (
  frame_id INT8 NOT NULL DEFAULT unique_rowid(),
  guid UUID NOT NULL DEFAULT gen_random_uuid(),
  code STRING NOT NULL DEFAULT 'F':::STRING,
  taken TIMESTAMP NULL DEFAULT now():::TIMESTAMP,
  flag BOOL NOT NULL DEFAULT false,
  flux DECIMAL(9,3) NULL DEFAULT 0:::DECIMAL,
  meta JSONB NULL,
  up STRING NULL AS (upper(code)) STORED,
  CONSTRAINT frame_pkey PRIMARY KEY (frame_id ASC),
  INDEX ix1 (taken DESC),
  UNIQUE INDEX uq (code ASC),
  INVERTED INDEX ij (meta),
  FAMILY "primary" (frame_id, guid, code, taken, flag, flux, meta, up),
  CONSTRAINT ck CHECK (flux >= 0:::DECIMAL)
);
CREATE TABLE frame_log (log_id INT8 NOT NULL DEFAULT unique_rowid() PRIMARY KEY, frame_id INT8 REFERENCES frame (frame_id) ON DELETE CASCADE, at TIMESTAMPTZ DEFAULT now());
CREATE VIEW v1 AS SELECT frame_id, COALESCE(code, 'none') AS c, extract(year FROM taken) AS y FROM frame LIMIT 100;
INSERT INTO frame (frame_id, code, taken, flag, flux) VALUES (1, 'F1', '2026-03-01 22:10:00', true, 1.5), (2, 'F2', '2026-03-02 01:02:03.456', false, 0.25);
INSERT INTO frame_log (log_id, frame_id) VALUES (1, 1);
