"""A street of shops, simulated: invented makers whose sizes disagree, as a feed of products (docs/shop-feed.md)."""
