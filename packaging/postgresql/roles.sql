-- Roles for a shared logbook, to be run once by an administrator of the server:
--   createdb logbook && psql -d logbook -f roles.sql
-- Benches get hillrun_writer, people who only look get hillrun_reader: GRANT hillrun_writer TO "bench-1";
-- The first writer that opens the logbook makes its tables.

CREATE ROLE hillrun_reader NOLOGIN;
CREATE ROLE hillrun_writer NOLOGIN;
GRANT hillrun_reader TO hillrun_writer;

REVOKE CREATE ON SCHEMA public FROM PUBLIC;
GRANT USAGE ON SCHEMA public TO hillrun_reader;
GRANT CREATE ON SCHEMA public TO hillrun_writer;

-- The first writer makes the tables as hillrun_writer, so that every writer owns them and later versions can change
-- them: ALTER ROLE "bench-1" SET role = 'hillrun_writer';
ALTER DEFAULT PRIVILEGES FOR ROLE hillrun_writer IN SCHEMA public GRANT SELECT ON TABLES TO hillrun_reader;
