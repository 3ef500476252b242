"""What ./basilwood torture does: it kills, races and abuses a running server and counts what became of the work."""
