"""Every look that a rack can make: the rules tabulated over what they declare, and added up."""

from craft.search.tables import Rack, Tables, tabulate

__all__ = ["Rack", "Tables", "tabulate"]
