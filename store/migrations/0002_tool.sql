-- +goose Up
-- what an edit was made with: turning back a selection leaves such edits out
ALTER TABLE edits ADD COLUMN tool text NOT NULL DEFAULT '';

-- +goose Down
ALTER TABLE edits DROP COLUMN tool;
