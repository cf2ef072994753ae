/** Vertex-centred cells through a slab: the first point lies on the face, the last on the back. */
export interface SlabGrid {
  /** Depth of each point, m; n */
  readonly depth: Float64Array;
  /** Thickness each point stands for, m; n; they add up to the slab's */
  readonly width: Float64Array;
}

/**
 * Points through a slab, closest at the face.
 * @param thickness m
 * @param points 2 or more
 * @param growth ratio of neighbouring distances, 1 or more
 */
export function gradedSlab(thickness: number, points: number, growth: number): SlabGrid {
  const depth = new Float64Array(points);
  let step = 1;
  for (let i = 1; i < points; i++) {
    depth[i] = depth[i - 1] + step;
    step *= growth;
  }
  const scale = thickness / depth[points - 1];
  for (let i = 0; i < points; i++) depth[i] *= scale;
  const width = new Float64Array(points);
  for (let i = 0; i < points; i++) {
    const left = i === 0 ? 0 : 0.5 * (depth[i - 1] + depth[i]);
    const right = i === points - 1 ? thickness : 0.5 * (depth[i] + depth[i + 1]);
    width[i] = right - left;
  }
  return { depth, width };
}
