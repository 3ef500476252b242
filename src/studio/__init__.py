"""The studio: what is kept, by whom, and the HTTP interface to it. Rules of the trade live in `craft`."""
