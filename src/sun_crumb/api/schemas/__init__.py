"""What goes in and out over HTTP, by subject. The TypeScript types are generated from these; they hold no rules."""
