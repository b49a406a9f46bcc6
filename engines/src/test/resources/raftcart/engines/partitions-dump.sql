CREATE TABLE public.frame (id integer NOT NULL, taken date NOT NULL) PARTITION BY RANGE (taken);
CREATE TABLE public.frame_2024 (id integer NOT NULL, taken date NOT NULL);
CREATE TABLE public.frame_2025 (id integer NOT NULL, taken date NOT NULL);
ALTER TABLE ONLY public.frame ATTACH PARTITION public.frame_2024 FOR VALUES FROM (MINVALUE) TO ('2025-01-01');
ALTER TABLE ONLY public.frame ATTACH PARTITION public.frame_2025 FOR VALUES FROM ('2025-01-01') TO (MAXVALUE);
COPY public.frame_2024 (id, taken) FROM stdin;
1	2019-05-05
\.
COPY public.frame_2025 (id, taken) FROM stdin;
2	2025-01-01
3	2031-01-01
\.
ALTER TABLE ONLY public.frame ADD CONSTRAINT frame_pkey PRIMARY KEY (id, taken);
ALTER TABLE ONLY public.frame_2024 ADD CONSTRAINT frame_2024_pkey PRIMARY KEY (id, taken);
ALTER TABLE ONLY public.frame_2025 ADD CONSTRAINT frame_2025_pkey PRIMARY KEY (id, taken);
CREATE INDEX frame_taken_idx ON ONLY public.frame USING btree (taken);
CREATE INDEX frame_2024_taken_idx ON public.frame_2024 USING btree (taken);
ALTER INDEX public.frame_taken_idx ATTACH PARTITION public.frame_2024_taken_idx;
ALTER INDEX public.frame_pkey ATTACH PARTITION public.frame_2024_pkey;
CREATE ROLE gone;
DROP ROLE gone;
CREATE INDEX only_there ON public.frame_2025 (id);
ALTER TABLE public.frame_2025 ADD CONSTRAINT only_here CHECK (id > 0);
DROP TABLE public.frame_2024;
