"""The diary's arithmetic: kinds of visit, clashes and travel, free time, what follows."""
