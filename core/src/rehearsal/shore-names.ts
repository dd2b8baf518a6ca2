/** Names of simulated pupils: things of the shore, so that nobody takes them for pupils of a class. */
export const SHORE_NAMES: readonly string[] = [
  ['Algae', 'Anchor', 'Barnacle', 'Beacon', 'Buoy', 'Coral', 'Crab', 'Cove', 'Driftwood', 'Dune', 'Ebb', 'Foam'],
  ['Heather', 'Inlet', 'Jetty', 'Kelp', 'Keel', 'Lantern', 'Limpet', 'Mast', 'Mussel', 'Net', 'Oar', 'Pebble'],
  ['Quay', 'Reed', 'Reef', 'Rope', 'Rudder', 'Sail', 'Sand', 'Seaweed', 'Shell', 'Starfish', 'Tide', 'Urchin'],
].flat();
