"""Open formats in and out: schema.org Recipe (JSON-LD, in a page or alone), CSV, and Sun Crumb's own JSON. No database."""
