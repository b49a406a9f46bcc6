-- to: postgresql
.LOGON host/user,pw
.SET WIDTH 200
DATABASE kestrel;
CREATE MULTISET TABLE kestrel.telescope ,NO FALLBACK ,
     NO BEFORE JOURNAL,
     NO AFTER JOURNAL,
     CHECKSUM = DEFAULT,
     DEFAULT MERGEBLOCKRATIO
     (
      telescope_id INTEGER NOT NULL GENERATED ALWAYS AS IDENTITY (START WITH 1 INCREMENT BY 1 MINVALUE 1 MAXVALUE 2147483647 NO CYCLE),
      name VARCHAR(100) CHARACTER SET UNICODE NOT CASESPECIFIC NOT NULL TITLE 'Name',
      code CHAR(3) CHARACTER SET LATIN CASESPECIFIC COMPRESS ('abc','def'),
      aperture DECIMAL(6,3) FORMAT '---9.999' DEFAULT 0.000,
      b BYTEINT, bi BIGINT, f FLOAT, n NUMBER(10,2), by1 BYTE(4), vb VARBYTE(100), c CLOB(1000) CHARACTER SET LATIN, bl BLOB,
      d DATE FORMAT 'YYYY-MM-DD' NOT NULL DEFAULT DATE,
      t TIME(0), ts TIMESTAMP(6) DEFAULT CURRENT_TIMESTAMP(6), tz TIMESTAMP(0) WITH TIME ZONE,
      iv INTERVAL DAY(2) TO SECOND(6), p PERIOD(DATE),
      CONSTRAINT pk PRIMARY KEY (telescope_id),
      CHECK (aperture >= 0))
UNIQUE PRIMARY INDEX upi ( telescope_id )
PARTITION BY RANGE_N(d BETWEEN DATE '2010-01-01' AND DATE '2020-12-31' EACH INTERVAL '1' MONTH, NO RANGE)
INDEX nx (name);
CREATE VOLATILE TABLE vt AS (SELECT * FROM telescope) WITH DATA PRIMARY INDEX (telescope_id) ON COMMIT PRESERVE ROWS;
CREATE SET GLOBAL TEMPORARY TABLE gt (a INTEGER) ON COMMIT DELETE ROWS;
REPLACE VIEW v AS LOCKING ROW FOR ACCESS SEL telescope_id, name (TITLE 'N'), d (FORMAT 'YYYY') (CHAR(4)) FROM telescope;
SEL TOP 10 * FROM telescope ORDER BY 1;
SELECT TOP 5 PERCENT WITH TIES * FROM telescope ORDER BY aperture;
SELECT * FROM telescope QUALIFY ROW_NUMBER() OVER (PARTITION BY code ORDER BY d DESC) = 1;
SELECT * FROM telescope SAMPLE 10;
SELECT * FROM telescope SAMPLE 0.25;
SELECT name, ZEROIFNULL(aperture), NULLIFZERO(aperture), NVL(name,'x'), CHARACTERS(name), CHAR_LENGTH(name), INDEX(name,'a'), POSITION('a' IN name), SUBSTRING(name FROM 2 FOR 3), SUBSTR(name, 2), TRIM(BOTH FROM name), OREPLACE(name,'a','b'), OTRANSLATE(name,'a','b'), name || 'x', UPPER(name), LOWER(name), aperture MOD 3, aperture ** 2, name (NOT CASESPECIFIC) FROM telescope;
SELECT d + 7, d - DATE '2020-01-01', ADD_MONTHS(d, 3), EXTRACT(YEAR FROM d), d (FORMAT 'YYYYMMDD'), CAST(d AS FORMAT 'YYYY-MM-DD'), CAST(CAST(d AS FORMAT 'YYYYMMDD') AS CHAR(8)), CURRENT_DATE, DATE, TIME, USER, LAST_DAY(d), TO_CHAR(d,'YYYY-MM'), TRUNC(d,'MM'), d + INTERVAL '1' YEAR, (ts - ts) DAY(4) TO SECOND, TD_DAY_OF_WEEK(d) FROM telescope;
SELECT CAST('20200102' AS DATE FORMAT 'YYYYMMDD'), CAST(name AS INTEGER), name (INTEGER), CASE WHEN b = 1 THEN 'x' END, COALESCE(name, 'y') FROM telescope;
SELECT code, SUM(aperture) (DECIMAL(10,2)) FROM telescope GROUP BY 1 WITH SUM(aperture) BY code;
SELECT a.name FROM telescope a, telescope b WHERE a.telescope_id = b.telescope_id AND a.name LIKE ANY ('a%', 'b%') AND b.code NOT IN ('x') AND a.name EQ 'z' AND a.b GT 5;
SELECT RANK(aperture DESC), CSUM(aperture, d), MAVG(aperture, 3, d), MSUM(aperture, 3, d), MDIFF(aperture, 1, d), QUANTILE(100, aperture) FROM telescope;
SELECT SUM(aperture) OVER (PARTITION BY code ORDER BY d ROWS UNBOUNDED PRECEDING), COUNT(*) OVER (ORDER BY d RESET WHEN b = 1) FROM telescope;
UPDATE telescope FROM vt SET name = vt.name WHERE telescope.telescope_id = vt.telescope_id;
UPD telescope SET name = 'x' WHERE telescope_id = 1 ELSE INSERT INTO telescope VALUES (1, 'x');
DELETE FROM telescope ALL;
DEL telescope WHERE d < DATE - 30;
DELETE telescope FROM vt WHERE telescope.telescope_id = vt.telescope_id;
INS INTO telescope (telescope_id, name) VALUES (1, 'a');
INSERT INTO telescope SELECT * FROM vt;
INSERT INTO telescope VALUES (1, 'A', , 5);
MERGE INTO telescope t USING VALUES (1, 'a') AS s (id, nm) ON t.telescope_id = s.id WHEN MATCHED THEN UPDATE SET name = s.nm WHEN NOT MATCHED THEN INSERT (telescope_id, name) VALUES (s.id, s.nm);
COLLECT STATISTICS COLUMN (telescope_id), COLUMN (name) ON telescope;
COLLECT STATS ON telescope INDEX (telescope_id);
COMMENT ON TABLE telescope 'Scopes';
COMMENT ON COLUMN telescope.name AS 'Name';
CREATE INDEX ix (name) ON telescope;
CREATE UNIQUE INDEX uix (code) ON telescope;
CREATE JOIN INDEX ji AS SELECT name FROM telescope PRIMARY INDEX (name);
CREATE MACRO m (a INTEGER) AS (SELECT * FROM telescope WHERE telescope_id = :a;);
EXEC m(5);
RENAME TABLE telescope TO scope;
RENAME TABLE scope TO telescope;
ALTER TABLE telescope ADD z INTEGER, DROP b, ADD q VARCHAR(10);
DROP STATISTICS ON telescope;
GRANT SELECT ON kestrel TO app;
GRANT SELECT, UPDATE ON kestrel.telescope TO app WITH GRANT OPTION;
BT; ET;
LOCKING TABLE telescope FOR ACCESS SELECT * FROM telescope;
HELP TABLE telescope;
SHOW TABLE telescope;
WITH RECURSIVE r (n) AS (SELECT telescope_id FROM telescope UNION ALL SELECT n + 1 FROM r WHERE n < 5) SELECT * FROM r;
SELECT * FROM telescope WHERE (name, code) IN (SELECT name, code FROM vt) MINUS SELECT * FROM vt;
SELECT CAST(ts AS DATE), CAST(ts AS TIME(0)), ts AT TIME ZONE 'GMT', CURRENT_TIMESTAMP(0), SESSION, ACCOUNT, PROFILE FROM telescope;
SELECT STRTOK(name, ',', 2), REGEXP_REPLACE(name,'a','b',1,0,'i'), REGEXP_SIMILAR(name,'a.*','i'), HASHROW(name), RANDOM(1,10), TRYCAST(name AS INTEGER), DECODE(b,1,'a','b'), GREATEST(1,2), NVL2(name,'a','b'), INSTR(name,'a'), LPAD(name,5), INITCAP(name), XMLAGG(name ORDER BY name), TO_NUMBER('5'), TO_DATE('2020-01-01','YYYY-MM-DD') FROM telescope;
.IF ERRORCODE <> 0 THEN .QUIT 1
.LOGOFF
REPLACE MACRO bright (m DECIMAL(5,2)) AS (
  SELECT id FROM star WHERE mag < :m;
  UPDATE star SET mag = 1 WHERE mag < :m;
);
REPLACE TRIGGER dimmed AFTER UPDATE OF (mag) ON star REFERENCING NEW AS n FOR EACH ROW WHEN (n.mag > 1) (INSERT INTO log VALUES (n.id); DELETE FROM star;);
REPLACE PROCEDURE dim (IN which INTEGER)
BEGIN
  DECLARE n INTEGER DEFAULT 0;
  UPDATE star SET mag = mag + 1 WHERE id = :which;
  IF n = 0 THEN
    DELETE FROM star;
  END IF;
END;
SELECT 5 AS behind_code;
