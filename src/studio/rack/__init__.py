"""The rack: what a client owns, in words and figures, each piece landed on their body."""
