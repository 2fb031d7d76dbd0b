"""One function per use case: takes plain values, owns the transaction, gives plain values. No request, no response."""
