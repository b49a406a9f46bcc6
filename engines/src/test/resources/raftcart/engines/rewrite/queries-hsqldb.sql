SELECT name, planets / 3, MOD(planets, 3) FROM star ORDER BY id;
SELECT name FROM star ORDER BY magnitude DESC, id;
SELECT name || ':' || planets FROM star ORDER BY id;
SELECT joined + INTERVAL '1' MONTH FROM observer ORDER BY id;
SELECT GROUP_CONCAT(name ORDER BY id SEPARATOR '+') FROM star;
SELECT NVL(kind, 'x'), IFNULL(magnitude, 0), LCASE(name) FROM star ORDER BY id;
SELECT name FROM star ORDER BY id LIMIT 2 OFFSET 2;
SELECT AVG(planets) FROM star;
SELECT name FROM observer WHERE active ORDER BY id;
