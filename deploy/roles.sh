#!/bin/sh
# The two roles of Basilwood and its database, made once when the database container first starts (SECURITY.md).
set -eu
psql -v ON_ERROR_STOP=1 -U "$POSTGRES_USER" -d postgres \
    -v owner="$BASILWOOD_DB_PASSWORD" -v serving="$BASILWOOD_DB_SERVE_PASSWORD" <<'SQL'
CREATE ROLE basilwood LOGIN CREATEDB PASSWORD :'owner';
CREATE ROLE basilwood_serve LOGIN PASSWORD :'serving';
GRANT basilwood_serve TO basilwood;
ALTER ROLE basilwood_serve SET statement_timeout = '30s';
ALTER ROLE basilwood_serve SET lock_timeout = '10s';
ALTER ROLE basilwood_serve SET idle_in_transaction_session_timeout = '60s';
CREATE DATABASE basilwood OWNER basilwood;
SQL
