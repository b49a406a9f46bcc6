-- to: postgresql mariadb
CREATE TABLE kro.telescope (telescope_id INTEGER NOT NULL PRIMARY KEY, name VARCHAR(60) NOT NULL, aperture DECIMAL(6,3), dome CHAR(4));
CREATE TABLE kro.event (noted TIMESTAMP, what VARCHAR(200));

CREATE OR REPLACE FUNCTION kro.area (d DECIMAL(6,3)) RETURNS DECIMAL(12,4)
  LANGUAGE SQL DETERMINISTIC NO EXTERNAL ACTION CONTAINS SQL
  RETURN d * d * 0.7854;

CREATE OR REPLACE PROCEDURE kro.register (IN p_name VARCHAR(60), IN p_aperture DECIMAL(6,3), OUT p_id INTEGER, OUT p_what VARCHAR(60))
  SPECIFIC kro.register1
  LANGUAGE SQL
  MODIFIES SQL DATA
  DYNAMIC RESULT SETS 0
BEGIN
  DECLARE v_next INTEGER DEFAULT 0;
  DECLARE not_unique CONDITION FOR SQLSTATE '23505';
  DECLARE EXIT HANDLER FOR not_unique
    SET p_what = 'there already';
  DECLARE EXIT HANDLER FOR SQLEXCEPTION
  BEGIN
    INSERT INTO kro.event VALUES (CURRENT TIMESTAMP, 'failed');
    RESIGNAL;
  END;
  IF p_aperture <= 0 THEN
    SIGNAL SQLSTATE '75001' SET MESSAGE_TEXT = 'an aperture is greater than 0';
  END IF;
  SELECT COALESCE(MAX(telescope_id), 0) + 1 INTO v_next FROM kro.telescope;
  INSERT INTO kro.telescope (telescope_id, name, aperture) VALUES (v_next, p_name, p_aperture);
  SET p_id = v_next, p_what = 'registered';
END;

CREATE PROCEDURE kro.largest (IN p_dome CHAR(4))
  LANGUAGE SQL
  DYNAMIC RESULT SETS 1
BEGIN
  DECLARE c1 CURSOR WITH RETURN TO CALLER FOR
    SELECT name, aperture FROM kro.telescope WHERE dome = p_dome ORDER BY aperture DESC FETCH FIRST 5 ROWS ONLY;
  OPEN c1;
END;

CREATE FUNCTION kro.names (p_dome CHAR(4)) RETURNS VARCHAR(2000)
  LANGUAGE SQL READS SQL DATA
BEGIN
  DECLARE v VARCHAR(2000) DEFAULT '';
  FOR t AS c CURSOR FOR SELECT name, aperture FROM kro.telescope WHERE dome = p_dome ORDER BY name DO
    SET v = v || t.name || ' ';
    IF aperture > 5 THEN
      SET v = v || '(great) ';
    END IF;
  END FOR;
  RETURN v;
END;

CREATE TRIGGER kro.telescope_au
  AFTER UPDATE OF aperture ON kro.telescope
  REFERENCING OLD AS o NEW AS n
  FOR EACH ROW MODE DB2SQL
  WHEN (o.aperture <> n.aperture)
BEGIN ATOMIC
  INSERT INTO kro.event VALUES (CURRENT TIMESTAMP, n.name || ' was ' || CHAR(o.aperture));
END;

CREATE TRIGGER kro.telescope_bi
  NO CASCADE BEFORE INSERT ON kro.telescope
  REFERENCING NEW AS n
  FOR EACH ROW MODE DB2SQL
  SET n.dome = COALESCE(n.dome, 'main');

CREATE PROCEDURE kro.by_code ()
  LANGUAGE SQL
BEGIN
  DECLARE SQLCODE INTEGER DEFAULT 0;
  UPDATE kro.telescope SET dome = 'old' WHERE aperture < 1;
  IF SQLCODE = 100 THEN
    INSERT INTO kro.event VALUES (CURRENT TIMESTAMP, 'none');
  END IF;
END;

CREATE PROCEDURE kro.by_loop ()
  LANGUAGE SQL
  FOR SELECT telescope_id, dome FROM kro.telescope DO
    UPDATE kro.event SET what = dome WHERE what = 'open';
  END FOR;
