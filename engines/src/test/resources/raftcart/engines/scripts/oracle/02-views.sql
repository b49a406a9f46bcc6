CREATE OR REPLACE FORCE VIEW busy_dome (label, looks, last_look) AS
SELECT d.label, COUNT(*), MAX(o.started)
FROM dome d, observation o
WHERE o.dome_id = d.dome_id
GROUP BY d.label
WITH READ ONLY;

CREATE OR REPLACE VIEW busiest AS
SELECT label, NVL(TO_CHAR(last_look, 'YYYY-MM-DD'), 'never') AS last_day FROM busy_dome WHERE looks > 1;

CREATE OR REPLACE SYNONYM looks FOR observation;

CREATE OR REPLACE PROCEDURE close_dome(p_dome IN NUMBER) AS
BEGIN
  UPDATE dome SET is_open = 0 WHERE dome_id = p_dome;
END;
/
