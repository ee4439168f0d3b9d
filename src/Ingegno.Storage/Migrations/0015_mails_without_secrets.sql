-- What was handed over before still held the secret of its link in clear text. The text goes; when, to whom and about what it was written stays.
UPDATE outbox SET message = '' WHERE sent_at IS NOT NULL;
