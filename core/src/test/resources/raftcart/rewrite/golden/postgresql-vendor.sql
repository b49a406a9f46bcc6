-- to: mysql oracle sqlserver
--
-- PostgreSQL database dump
--
-- Dumped from database version 14.2 (Debian 14.2-1.pgdg110+1)
SET statement_timeout = 0;
SET lock_timeout = 0;
SET idle_in_transaction_session_timeout = 0;
SET client_encoding = 'UTF8';
SET standard_conforming_strings = on;
SELECT pg_catalog.set_config('search_path', '', false);
SET check_function_bodies = false;
SET xmloption = content;
SET client_min_messages = warning;
SET row_security = off;
ALTER TABLE IF EXISTS ONLY public.store DROP CONSTRAINT IF EXISTS store_address_id_fkey;
DROP TRIGGER IF EXISTS last_updated ON public.store;
DROP INDEX IF EXISTS public.idx_title;
DROP VIEW IF EXISTS public.staff_list;
DROP SEQUENCE IF EXISTS public.store_store_id_seq;
DROP FUNCTION IF EXISTS public.last_day(timestamp with time zone);
DROP AGGREGATE IF EXISTS public.group_concat(text);
DROP TYPE IF EXISTS public.mpaa_rating;
DROP DOMAIN IF EXISTS public.year;
DROP EXTENSION IF EXISTS plpgsql;
DROP SCHEMA IF EXISTS public;
CREATE SCHEMA public;
ALTER SCHEMA public OWNER TO postgres;
COMMENT ON SCHEMA public IS 'standard public schema';
CREATE EXTENSION IF NOT EXISTS plpgsql WITH SCHEMA pg_catalog;
COMMENT ON EXTENSION plpgsql IS 'PL/pgSQL procedural language';
CREATE TYPE public.mpaa_rating AS ENUM (
    'G',
    'PG-13'
);
ALTER TYPE public.mpaa_rating OWNER TO postgres;
CREATE DOMAIN public.year AS integer
	CONSTRAINT year_check CHECK (((VALUE >= 1901) AND (VALUE <= 2155)));
CREATE FUNCTION public._group_concat(text, text) RETURNS text
    LANGUAGE sql IMMUTABLE
    AS $_$
SELECT CASE
  WHEN $2 IS NULL THEN $1
  ELSE $1 || ', ' || $2
END
$_$;
CREATE FUNCTION public.last_updated() RETURNS trigger
    LANGUAGE plpgsql
    AS $$
BEGIN
    NEW.last_update = CURRENT_TIMESTAMP;
    RETURN NEW;
END $$;
CREATE AGGREGATE public.group_concat(text) (
    SFUNC = public._group_concat,
    STYPE = text
);
SET default_tablespace = '';
SET default_with_oids = false;
SET default_table_access_method = heap;
CREATE SEQUENCE public.observer_observer_id_seq
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER TABLE public.observer_observer_id_seq OWNER TO postgres;
CREATE TABLE public.observer (
    observer_id integer DEFAULT nextval('public.observer_observer_id_seq'::regclass) NOT NULL,
    first_name character varying(45) NOT NULL,
    rating public.mpaa_rating DEFAULT 'G'::public.mpaa_rating,
    release_year public.year,
    rate numeric(4,2) DEFAULT 4.99 NOT NULL,
    special text[],
    fulltext tsvector NOT NULL,
    last_update timestamp without time zone DEFAULT now() NOT NULL,
    active boolean DEFAULT true NOT NULL,
    create_date date DEFAULT ('now'::text)::date NOT NULL,
    picture bytea,
    ip inet, m macaddr, r int4range, p point, j jsonb DEFAULT '{}'::jsonb, x xml, mo money, o oid, ch "char", b bit varying(5), iv interval, tz timestamp with time zone, t time without time zone, ts timestamp(3) without time zone, u uuid DEFAULT gen_random_uuid(), h hstore, cit public.citext, d double precision, re real, na name, arr2 integer[][],
    gen integer GENERATED ALWAYS AS ((observer_id * 2)) STORED,
    CONSTRAINT rate_pos CHECK ((rate > (0)::numeric)),
    CONSTRAINT kinds CHECK (((first_name)::text = ANY ((ARRAY['a'::character varying, 'b'::character varying])::text[])))
);
ALTER TABLE ONLY public.observer ALTER COLUMN first_name SET STATISTICS 100;
ALTER TABLE ONLY public.observer REPLICA IDENTITY FULL;
CREATE TABLE public.exposure (
    exposure_id integer NOT NULL,
    taken_at timestamp with time zone NOT NULL
)
PARTITION BY RANGE (taken_at);
CREATE TABLE public.exposure_p2022_01 (
    exposure_id integer NOT NULL,
    taken_at timestamp with time zone NOT NULL
);
ALTER TABLE ONLY public.exposure ATTACH PARTITION public.exposure_p2022_01 FOR VALUES FROM ('2022-01-01 00:00:00+00') TO ('2022-02-01 00:00:00+00');
CREATE TABLE public.kid (a int) INHERITS (public.observer);
CREATE VIEW public.observer_info AS
 SELECT a.observer_id,
    a.first_name,
    public.group_concat(DISTINCT (((c.name)::text || ': '::text) || ( SELECT public.group_concat((f.title)::text) AS group_concat
           FROM ((public.plate f
             JOIN public.plate_band fc_1 ON ((f.plate_id = fc_1.plate_id)))
             JOIN public.plate_observer fa_1 ON ((f.plate_id = fa_1.plate_id)))
          WHERE ((fc_1.band_id = c.band_id) AND (fa_1.observer_id = a.observer_id))
          GROUP BY fa_1.observer_id))) AS plate_info,
    date_part('year'::text, a.last_update) AS yr,
    to_char(a.last_update, 'YYYY-MM-DD'::text) AS d,
    (a.first_name)::text || chr(32) AS nm,
        CASE
            WHEN a.active THEN 'active'::text
            ELSE ''::text
        END AS notes
   FROM ((public.observer a
     LEFT JOIN public.plate_observer fa ON ((a.observer_id = fa.observer_id)))
     LEFT JOIN public.band c ON ((fa.plate_id = c.band_id)))
  GROUP BY a.observer_id, a.first_name;
CREATE MATERIALIZED VIEW public.exposures_by_band AS
 SELECT c.name AS band,
    sum(p.amount) AS total_sales
   FROM public.exposure p
  GROUP BY c.name
  ORDER BY (sum(p.amount)) DESC
  WITH NO DATA;
CREATE SEQUENCE public.site_id_seq
    AS integer
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1;
ALTER SEQUENCE public.site_id_seq OWNED BY public.site.id;
CREATE TABLE public.site (id integer NOT NULL, name text NOT NULL, meta json);
ALTER TABLE public.site ALTER COLUMN id ADD GENERATED ALWAYS AS IDENTITY (
    SEQUENCE NAME public.site_id_seq2
    START WITH 1
    INCREMENT BY 1
    NO MINVALUE
    NO MAXVALUE
    CACHE 1
);
ALTER TABLE ONLY public.site ALTER COLUMN id SET DEFAULT nextval('public.site_id_seq'::regclass);
COPY public.observer (observer_id, first_name, last_update, active, picture, special) FROM stdin;
1	Pen\\elope\t	2022-02-15 09:34:33.123	t	\\x0a0b	{a,"b c"}
2	\N	2022-02-15 09:34:33	f	\N	\N
\.
COPY public.site FROM stdin;
1	A	{"a": 1}
\.
INSERT INTO public.site VALUES (2, E'it\'s\n', '{"a": "b"}');
INSERT INTO public.site (id, name) OVERRIDING SYSTEM VALUE VALUES (3, 'x');
SELECT pg_catalog.setval('public.observer_observer_id_seq', 200, true);
SELECT pg_catalog.setval('public.site_id_seq', 3, true);
ALTER TABLE ONLY public.observer
    ADD CONSTRAINT observer_pkey PRIMARY KEY (observer_id);
ALTER TABLE public.observer CLUSTER ON observer_pkey;
CREATE INDEX plate_text_idx ON public.plate USING gist (fulltext);
CREATE UNIQUE INDEX idx_unq ON ONLY public.night USING btree (night_date, plate_id, observer_id);
CREATE INDEX j ON public.observer USING gin (j jsonb_path_ops);
CREATE INDEX low ON public.observer USING btree (lower((first_name)::text) text_pattern_ops, last_update DESC NULLS LAST) WHERE active;
ALTER INDEX public.exposure_pkey ATTACH PARTITION public.exposure_p2022_01_pkey;
CREATE TRIGGER last_updated BEFORE UPDATE ON public.observer FOR EACH ROW EXECUTE FUNCTION public.last_updated();
CREATE RULE r AS ON DELETE TO public.observer DO INSTEAD NOTHING;
ALTER TABLE ONLY public.store
    ADD CONSTRAINT store_address_id_fkey FOREIGN KEY (address_id) REFERENCES public.address(address_id) ON UPDATE CASCADE ON DELETE RESTRICT DEFERRABLE INITIALLY DEFERRED;
ALTER TABLE ONLY public.store ADD CONSTRAINT fk2 FOREIGN KEY (a) REFERENCES public.address(address_id) NOT VALID;
ALTER TABLE ONLY public.store ADD CONSTRAINT ex EXCLUDE USING gist (r WITH &&);
ALTER TABLE public.store ENABLE ROW LEVEL SECURITY;
CREATE POLICY p ON public.store USING (true);
CREATE PUBLICATION pub FOR ALL TABLES;
REVOKE ALL ON SCHEMA public FROM PUBLIC;
GRANT ALL ON SCHEMA public TO postgres;
GRANT SELECT,INSERT ON TABLE public.observer TO reader;
GRANT ALL ON FUNCTION public.last_updated() TO reader;
GRANT SELECT ON SEQUENCE public.site_id_seq TO reader;
ALTER DEFAULT PRIVILEGES FOR ROLE postgres IN SCHEMA public GRANT ALL ON TABLES TO postgres;
COMMENT ON COLUMN public.observer.first_name IS 'the name';
COMMENT ON CONSTRAINT rate_pos ON public.observer IS 'c';
REFRESH MATERIALIZED VIEW public.exposures_by_band;
\connect other
\i more.sql
