-- A sum a row over all of it, so that a bit that fell over is noticed. Rows of before have none until they are next written; all of them are when
-- such a file is first opened. The head of the file says whose it is and which schema it has.
ALTER TABLE machine ADD COLUMN sum TEXT NOT NULL DEFAULT '';
ALTER TABLE upgrade ADD COLUMN sum TEXT NOT NULL DEFAULT '';
ALTER TABLE revision ADD COLUMN sum TEXT NOT NULL DEFAULT '';
ALTER TABLE item ADD COLUMN sum TEXT NOT NULL DEFAULT '';
ALTER TABLE drawer ADD COLUMN sum TEXT NOT NULL DEFAULT '';
PRAGMA application_id = 1414545736;
PRAGMA user_version = 6;
