"""Letters on their way: every letter of the application is kept until the mail server has taken it."""
