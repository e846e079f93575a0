-- Once, as a superuser, on a PostgreSQL that is there already: psql -v owner_password=... -v app_password=... -f roles.sql
-- The owner migrates; the application reads, adds, and changes only what is kept of visitors.
CREATE ROLE ledger_owner LOGIN PASSWORD :'owner_password';
CREATE ROLE ledger_app LOGIN PASSWORD :'app_password';
CREATE DATABASE ledger OWNER ledger_owner ENCODING 'UTF8' TEMPLATE template0;
\connect ledger
REVOKE ALL ON SCHEMA public FROM PUBLIC;
CREATE SCHEMA ledger AUTHORIZATION ledger_owner;
GRANT USAGE ON SCHEMA ledger TO ledger_app;
