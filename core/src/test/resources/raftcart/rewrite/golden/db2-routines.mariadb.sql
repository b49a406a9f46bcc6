-- to: postgresql mariadb
CREATE TABLE kro.telescope (
    telescope_id int NOT NULL PRIMARY KEY,
    name varchar(60) NOT NULL,
    aperture decimal(6,3),
    dome char(4)
) COLLATE utf8mb4_bin;
CREATE TABLE kro.event (
    noted datetime(6),
    what varchar(200)
) COLLATE utf8mb4_bin;

DELIMITER //
CREATE OR REPLACE FUNCTION kro.area(d decimal(6,3)) RETURNS decimal(12,4)
DETERMINISTIC MODIFIES SQL DATA SQL SECURITY DEFINER
RETURN CAST(TRUNCATE(d * d * 0.7854, 4) AS decimal(12,4))//
DELIMITER ;

DELIMITER //
CREATE OR REPLACE PROCEDURE kro.register(p_name varchar(60) collate utf8mb4_bin, p_aperture decimal(6,3), OUT p_id int, OUT p_what varchar(60) collate utf8mb4_bin)
SQL SECURITY DEFINER
BEGIN
    DECLARE v_next int DEFAULT 0;
    DECLARE EXIT HANDLER FOR 1062, 1169, 1557, 1586, SQLSTATE '23505'
    SET p_what = 'there already';
    DECLARE EXIT HANDLER FOR SQLEXCEPTION
    BEGIN
        INSERT INTO kro.event VALUES (LOCALTIMESTAMP(6), 'failed');
        RESIGNAL;
    END;
    IF p_aperture <= 0 THEN
        SIGNAL SQLSTATE '75001' SET MESSAGE_TEXT = 'an aperture is greater than 0';
    END IF;
    SELECT COALESCE(MAX(telescope_id), 0) + 1 FROM kro.telescope
    INTO v_next;
    INSERT INTO kro.telescope (telescope_id, name, aperture) VALUES (v_next, p_name, p_aperture);
    SET p_id = v_next;
    SET p_what = 'registered';
END//
DELIMITER ;

DELIMITER //
CREATE PROCEDURE kro.largest(p_dome char(4) collate utf8mb4_bin)
SQL SECURITY DEFINER
BEGIN
    SELECT name, aperture
    FROM kro.telescope
    WHERE dome = p_dome
    ORDER BY CASE WHEN aperture IS NULL THEN 0 ELSE 1 END, aperture DESC
    LIMIT 5;
END//
DELIMITER ;

DELIMITER //
CREATE FUNCTION kro.names(p_dome char(4) collate utf8mb4_bin) RETURNS varchar(2000) collate utf8mb4_bin
NOT DETERMINISTIC READS SQL DATA SQL SECURITY DEFINER
BEGIN
    DECLARE v varchar(2000) collate utf8mb4_bin DEFAULT '';
    FOR t IN (
        SELECT name, aperture FROM kro.telescope WHERE dome = p_dome ORDER BY name
    ) DO
        SET v = CONCAT(v, t.name, ' ');
        IF t.aperture > 5 THEN
            SET v = CONCAT(v, '(great) ');
        END IF;
    END FOR;
    RETURN v;
END//
DELIMITER ;

DELIMITER //
CREATE TRIGGER kro.telescope_au AFTER UPDATE ON kro.telescope FOR EACH ROW
BEGIN
    IF old.aperture <> new.aperture AND NOT (old.aperture <=> new.aperture) THEN
        BEGIN
            INSERT INTO kro.event
            VALUES (LOCALTIMESTAMP(6), CONCAT(new.name, ' was ', CAST(old.aperture AS CHAR)));
        END;
    END IF;
END//
DELIMITER ;

DELIMITER //
CREATE TRIGGER kro.telescope_bi BEFORE INSERT ON kro.telescope FOR EACH ROW
SET new.dome = COALESCE(new.dome, 'main')//
DELIMITER ;

-- RC0603 by hand: Code is not translated: procedure: a variable that each statement sets
-- CREATE PROCEDURE kro.by_code ()
--   LANGUAGE SQL
-- BEGIN
--   DECLARE SQLCODE INTEGER DEFAULT 0;
--   UPDATE kro.telescope SET dome = 'old' WHERE aperture < 1;
--   IF SQLCODE = 100 THEN
--     INSERT INTO kro.event VALUES (CURRENT TIMESTAMP, 'none');
--   END IF;
-- END

-- RC0603 by hand: Code is not translated: procedure: a name that could mean a column of a table or of the loop around it
-- CREATE PROCEDURE kro.by_loop ()
--   LANGUAGE SQL
--   FOR SELECT telescope_id, dome FROM kro.telescope DO
--     UPDATE kro.event SET what = dome WHERE what = 'open';
--   END FOR

-- findings
-- 7:16: RC0609 adapted: Said in other words: cut as on the source
-- 37:75: RC0611 adapted: NULLs sorted as on the source: NULLs first
-- 54:1: RC0627 check: Said in other words, with a difference: it does its work where one of the columns gets another value, on the source wherever one is assigned
-- 60:73: RC0607 check: Function with a difference: text_of: the source fills the text up with blanks
-- 60:73: RC0608 adapted: Function spelled otherwise: CHAR means text_of
-- 72:19: RC0603 by hand: Code is not translated: procedure: a variable that each statement sets
-- 83:10: RC0603 by hand: Code is not translated: procedure: a name that could mean a column of a table or of the loop around it
