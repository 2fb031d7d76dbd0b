"""What may come in by any door: the same shapes check a request, a file and a backup. Computes and stores nothing."""
