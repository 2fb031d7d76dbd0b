"""What a pack would say: nutrition panels by US and EU rules, an estimate for home use and no legal advice. Reads no text and keeps nothing."""
