"""The measuring session: what to take and how, several readings made one, slips caught, old figures aged."""
