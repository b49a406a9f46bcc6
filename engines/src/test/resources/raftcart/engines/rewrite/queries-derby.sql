SELECT name, planets / 3, MOD(planets, 3) FROM star ORDER BY id;
SELECT name FROM star ORDER BY magnitude, id OFFSET 1 ROWS FETCH NEXT 2 ROWS ONLY;
SELECT YEAR(joined), MONTH(joined) FROM observer ORDER BY id;
SELECT AVG(planets), SUM(planets) FROM star;
SELECT COALESCE(kind, 'none'), LENGTH(name), UCASE(name) FROM star ORDER BY id;
SELECT {fn TIMESTAMPADD(SQL_TSI_DAY, 1, taken)} FROM reading ORDER BY id;
SELECT name FROM observer WHERE active ORDER BY id;
SELECT s.*, r.value FROM star s JOIN (SELECT star_id AS id, value FROM reading) r USING (id) ORDER BY s.name, r.value;
