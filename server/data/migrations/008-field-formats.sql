-- The form a field's value is stored in, so that a later version can turn it into its own.
ALTER TABLE brief_field ADD COLUMN format INTEGER NOT NULL DEFAULT 1;
ALTER TABLE field_history ADD COLUMN format INTEGER NOT NULL DEFAULT 1;
