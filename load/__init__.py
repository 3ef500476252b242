"""What `./basilwood load` runs: a studio of fifty under the load of its days, on a server as it is served for real."""
