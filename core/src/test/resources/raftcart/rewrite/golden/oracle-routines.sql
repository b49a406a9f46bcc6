-- to: postgresql
CREATE TABLE telescope (telescope_id NUMBER(9) PRIMARY KEY, name VARCHAR2(60) NOT NULL, aperture NUMBER(6,3), dome VARCHAR2(4));
CREATE SEQUENCE telescope_seq;

CREATE OR REPLACE PACKAGE dome_control AS
  c_limit CONSTANT NUMBER := 7.5;
  g_operator VARCHAR2(30) := 'nobody';
  too_windy EXCEPTION;
  FUNCTION is_open RETURN BOOLEAN;
  PROCEDURE open_it(p_wind NUMBER, p_message OUT VARCHAR2);
END dome_control;
/
CREATE OR REPLACE PACKAGE BODY dome_control AS
  g_open BOOLEAN := FALSE;
  FUNCTION is_open RETURN BOOLEAN IS
  BEGIN
    RETURN g_open;
  END is_open;
  PROCEDURE open_it(p_wind NUMBER, p_message OUT VARCHAR2) IS
  BEGIN
    IF p_wind > c_limit THEN
      RAISE too_windy;
    END IF;
    g_open := TRUE;
    p_message := 'open for ' || g_operator;
  EXCEPTION
    WHEN too_windy THEN
      p_message := 'too windy';
  END open_it;
END dome_control;
/
CREATE OR REPLACE PROCEDURE open_all(p_wind NUMBER DEFAULT 3) AUTHID CURRENT_USER IS
  v_message VARCHAR2(200);
BEGIN
  dome_control.g_operator := USER;
  dome_control.open_it(p_wind => p_wind, p_message => v_message);
  IF dome_control.is_open THEN
    DBMS_OUTPUT.PUT_LINE(v_message);
  END IF;
END;
/
CREATE OR REPLACE FUNCTION register(p_name VARCHAR2, p_aperture telescope.aperture%TYPE) RETURN NUMBER IS
  v_id telescope.telescope_id%TYPE;
  TYPE t_pair IS RECORD (low NUMBER(6,3) := 0, high NUMBER(6,3));
  v_pair t_pair;
BEGIN
  SELECT MIN(aperture), MAX(aperture) INTO v_pair FROM telescope;
  IF p_aperture NOT BETWEEN v_pair.low AND NVL(v_pair.high, 99) THEN
    RAISE_APPLICATION_ERROR(-20010, 'no such aperture: ' || p_aperture);
  END IF;
  INSERT INTO telescope (telescope_id, name, aperture)
  VALUES (telescope_seq.NEXTVAL, p_name, p_aperture)
  RETURNING telescope_id INTO v_id;
  RETURN v_id;
EXCEPTION
  WHEN DUP_VAL_ON_INDEX OR VALUE_ERROR THEN
    RETURN SQLCODE;
END register;
/
CREATE OR REPLACE PROCEDURE archive(p_table VARCHAR2, p_before DATE) IS
  v_count PLS_INTEGER;
BEGIN
  EXECUTE IMMEDIATE 'CREATE TABLE kept (id NUMBER(9))';
  EXECUTE IMMEDIATE 'DELETE FROM ' || p_table || ' WHERE seen < :d' USING p_before;
  v_count := SQL%ROWCOUNT;
  COMMIT;
END;
/
CREATE OR REPLACE PROCEDURE all_at_once IS
  TYPE t_ids IS TABLE OF NUMBER INDEX BY PLS_INTEGER;
  v_ids t_ids;
BEGIN
  SELECT telescope_id BULK COLLECT INTO v_ids FROM telescope;
END;
/
BEGIN
  EXECUTE IMMEDIATE 'DROP TABLE kept';
EXCEPTION
  WHEN OTHERS THEN
    IF SQLCODE != -942 THEN
      RAISE;
    END IF;
END;
/
CREATE OR REPLACE TRIGGER telescope_bi BEFORE INSERT ON telescope FOR EACH ROW
BEGIN
  IF :NEW.dome IS NOT NULL THEN
    RETURN;
  END IF;
  :NEW.dome := 'main';
END;
/
CREATE PROCEDURE listing(least NUMBER, c OUT SYS_REFCURSOR) AS
BEGIN
  OPEN c FOR SELECT id, name FROM star WHERE mag > least ORDER BY id;
END;
/
CREATE FUNCTION given(least NUMBER) RETURN SYS_REFCURSOR AS
  c SYS_REFCURSOR;
BEGIN
  IF least IS NULL THEN
    OPEN c FOR SELECT id FROM star;
  ELSE
    OPEN c FOR SELECT id FROM star WHERE mag > least;
  END IF;
  RETURN c;
END;
/
CREATE FUNCTION local_one(least NUMBER) RETURN NUMBER AS
  c SYS_REFCURSOR;
  x NUMBER(9);
  t NUMBER(9) := 0;
BEGIN
  OPEN c FOR SELECT id FROM star WHERE mag > least ORDER BY id;
  LOOP
    FETCH c INTO x;
    EXIT WHEN c%NOTFOUND;
    t := t * 10 + x;
  END LOOP;
  CLOSE c;
  RETURN t;
END;
/
CREATE FUNCTION two_queries(which NUMBER) RETURN NUMBER AS
  TYPE rc IS REF CURSOR;
  c rc;
  x NUMBER(9);
BEGIN
  IF which = 1 THEN OPEN c FOR SELECT MIN(id) FROM star; ELSE OPEN c FOR SELECT MAX(id) FROM star; END IF;
  FETCH c INTO x;
  CLOSE c;
  RETURN x;
END;
/
