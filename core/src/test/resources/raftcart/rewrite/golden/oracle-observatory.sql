-- to: postgresql mysql sqlserver
SET DEFINE OFF;
PROMPT Creating tables
CREATE TABLE obs_log (
  id NUMBER(10) NOT NULL,
  star_id NUMBER(10) CONSTRAINT fk_star REFERENCES star(id) ON DELETE CASCADE,
  note VARCHAR2(200 CHAR),
  amount NUMBER,
  taken DATE DEFAULT SYSDATE NOT NULL,
  flag CHAR(1) DEFAULT 'N' CHECK (flag IN ('Y','N')),
  CONSTRAINT pk_obs PRIMARY KEY (id) USING INDEX TABLESPACE idx
) TABLESPACE users PCTFREE 10 STORAGE (INITIAL 64K NEXT 1M) LOGGING;
COMMENT ON COLUMN obs_log.note IS 'free text';
CREATE SEQUENCE obs_seq START WITH 100 INCREMENT BY 1 NOCACHE NOCYCLE;
INSERT INTO obs_log (id, note, taken) VALUES (obs_seq.NEXTVAL, '', TO_DATE('2026-01-31 10:00:00', 'YYYY-MM-DD HH24:MI:SS'));
SELECT a.id, b.name FROM obs_log a, star b WHERE a.star_id = b.id(+) AND a.amount > 3 AND ROWNUM <= 10;
SELECT * FROM (SELECT id, note FROM obs_log ORDER BY taken DESC) WHERE ROWNUM <= 5;
SELECT DECODE(flag, 'Y', 'yes', 'N', 'no', '?'), NVL(note, 'none'), taken + 1, taken - DATE '2026-01-01', TRUNC(taken), TO_CHAR(taken, 'DD.MM.YYYY'), note || '-' || id FROM obs_log;
SELECT id, parent_id, LEVEL FROM node START WITH parent_id IS NULL CONNECT BY PRIOR id = parent_id;
SELECT LISTAGG(name, ',') WITHIN GROUP (ORDER BY name) FROM star GROUP BY kind;
MERGE INTO star s USING (SELECT 1 AS id, 'x' AS name FROM dual) n ON (s.id = n.id) WHEN MATCHED THEN UPDATE SET s.name = n.name WHEN NOT MATCHED THEN INSERT (id, name) VALUES (n.id, n.name);
INSERT ALL INTO a (x) VALUES (1) INTO b (y) VALUES (2) SELECT * FROM dual;
SELECT SYSDATE, SYSTIMESTAMP, USER FROM dual;
SELECT a FROM t1 MINUS SELECT b FROM t2;
CREATE OR REPLACE TRIGGER trg BEFORE INSERT ON obs_log FOR EACH ROW
BEGIN
  :NEW.id := obs_seq.NEXTVAL;
END;
/
SELECT /*+ INDEX(a i) */ q'[it's]' FROM a FOR UPDATE NOWAIT;
SELECT * FROM (SELECT dept, amt FROM sales) PIVOT (SUM(amt) FOR dept IN ('A' AS a, 'B' AS b));
CREATE OR REPLACE FORCE VIEW v AS SELECT id FROM star WITH READ ONLY;
CREATE TABLE plate_scan (id NUMBER(9) PRIMARY KEY, raw_image LONG RAW, label NATIONAL CHAR(3), note LONG);
EXIT

-- NOT NULL is a constraint that may have a name
CREATE TABLE plate (id NUMBER(9) CONSTRAINT pk_plate PRIMARY KEY, band VARCHAR2(3) DEFAULT 'V' CONSTRAINT nn_band NOT NULL);
ALTER TABLE plate DROP CONSTRAINT nn_band;
ALTER TABLE plate MODIFY (band CONSTRAINT nn_again NOT NULL);
ALTER TABLE plate DROP CONSTRAINT nn_again;
ALTER TABLE plate DROP CONSTRAINT pk_plate;
