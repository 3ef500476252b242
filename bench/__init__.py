"""What `./basilwood bench` runs: the engine's figures, measured on this machine."""
