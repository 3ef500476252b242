"""Every look that a rack can make: each rule asked of many looks at once, and added up."""
