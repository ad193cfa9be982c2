/** Outlines of all land (TopoJSON), told so that nobody has to work out the type of half a megabyte. */
declare module 'world-atlas/land-50m.json' {
  import type { GeometryCollection, Topology } from 'topojson-specification';

  const atlas: Topology<{ land: GeometryCollection }>;
  export default atlas;
}
