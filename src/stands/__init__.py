"""Stand-ins for outside devices. They stand apart: they know nothing of craft or studio, and speak
their own protocols (docs/tape-protocol.md)."""
