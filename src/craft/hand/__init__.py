"""What a client takes home: outfits told in her own words, drawn, without a measure of her body."""
