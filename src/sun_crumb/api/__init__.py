"""The door for the browser: routes by subject, schemas, one error format, the OpenAPI document. Computes nothing."""
