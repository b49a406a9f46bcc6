-- Kestrel Ridge Observatory: views, routines, triggers, an event, a role. For MariaDB 10.6 and later.

CREATE VIEW observation_summary AS
SELECT o.id AS observation_id, t.designation, i.name AS instrument, o.night,
       COUNT(e.id) AS frames, SUM(e.seconds) AS total_seconds
FROM observations o
JOIN sky_targets t ON t.id = o.target_id
JOIN instruments i ON i.id = o.instrument_id
LEFT JOIN exposures e ON e.observation_id = o.id
GROUP BY o.id, t.designation, i.name, o.night;

CREATE VIEW busiest_targets AS
SELECT designation, SUM(frames) AS frames, SUM(total_seconds) AS total_seconds
FROM observation_summary
GROUP BY designation
HAVING SUM(frames) > 10;

DELIMITER //

CREATE FUNCTION air_mass(zenith_angle DOUBLE) RETURNS DOUBLE DETERMINISTIC
BEGIN
  IF zenith_angle >= 90 THEN
    RETURN NULL;
  END IF;
  RETURN 1 / COS(RADIANS(zenith_angle));
END //

CREATE FUNCTION night_of(moment DATETIME) RETURNS DATE DETERMINISTIC
RETURN DATE(moment - INTERVAL 12 HOUR) //

CREATE PROCEDURE close_night(IN closing DATE, OUT frames INT)
BEGIN
  DECLARE EXIT HANDLER FOR SQLEXCEPTION
  BEGIN
    ROLLBACK;
    SET frames = -1;
  END;
  START TRANSACTION;
  UPDATE observations SET ended = started + INTERVAL 1 HOUR WHERE night = closing AND ended IS NULL;
  SELECT COUNT(*) INTO frames FROM exposures e JOIN observations o ON o.id = e.observation_id
    WHERE o.night = closing;
  COMMIT;
END //

CREATE PROCEDURE promote(IN who INT UNSIGNED)
BEGIN
  UPDATE astronomers SET is_staff = 1, hourly_rate = hourly_rate * 1.1 WHERE id = who;
  INSERT INTO log_entries (astronomer_id, level, `text`) VALUES (who, 1, 'promoted; congratulations');
END //

CREATE TRIGGER exposures_before_insert BEFORE INSERT ON exposures FOR EACH ROW
BEGIN
  IF NEW.seconds < 0 THEN
    SIGNAL SQLSTATE '45000' SET MESSAGE_TEXT = 'an exposure cannot be negative';
  END IF;
  SET NEW.file_name = LOWER(NEW.file_name);
END //

CREATE TRIGGER proposals_after_update AFTER UPDATE ON proposals FOR EACH ROW
BEGIN
  IF NEW.state <> OLD.state THEN
    INSERT INTO log_entries (astronomer_id, level, `text`)
    VALUES (NEW.leader_id, 0, CONCAT('proposal ', NEW.id, ': ', OLD.state, ' to ', NEW.state));
  END IF;
END //

CREATE EVENT forget_old_weather ON SCHEDULE EVERY 1 DAY STARTS '2026-01-01 03:30:00' DO
  DELETE FROM weather_readings WHERE read_at < NOW() - INTERVAL 10 YEAR //

DELIMITER ;

CREATE ROLE IF NOT EXISTS observatory_reader;
GRANT SELECT ON exposures TO observatory_reader;
GRANT SELECT ON observation_summary TO observatory_reader;
