INSERT INTO dome (dome_id, label, diameter, is_open, built) VALUES (1, 'North', 6.5, 1, TO_DATE('2019-04-01', 'YYYY-MM-DD'));
INSERT INTO dome (dome_id, label, built) VALUES (2, 'South', DATE '2021-10-05');
INSERT INTO observer (observer_id, login, name) VALUES (seq_observer.NEXTVAL, 'ada', 'Ada of the Ridge');
INSERT INTO observation (observation_id, dome_id, observer_id, started, ended, seconds, remark)
VALUES (1, 1, 100, TIMESTAMP '2031-01-02 03:04:05.125', NULL, 12.5, 'clear; it''s cold');
INSERT INTO observation (observation_id, dome_id, started, seconds, checksum)
VALUES (2, 1, TO_TIMESTAMP('2031-01-03 04:05:06', 'YYYY-MM-DD HH24:MI:SS'), 30, HEXTORAW('00112233445566778899AABBCCDDEEFF'));
COMMIT;
