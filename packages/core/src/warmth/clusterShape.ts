/** The inside of a room, in m. */
export interface ClusterRoom {
  width_m: number;
  length_m: number;
  depth_m: number;
}

/**
 * Surface of so many bees in a cluster that fits its room, in m²: a ball where there is room for one; between boards a
 * disc as thick as they stand apart; filling the depth too, a block of it; and never more than the room.
 */
export function clusterArea(
  bees_kg: number,
  litresPerKg: number,
  { width_m, length_m, depth_m }: ClusterRoom,
): number {
  const volume_m3 = (bees_kg * litresPerKg) / 1_000;
  if (volume_m3 <= 0) return 0;
  const radius_m = Math.cbrt((3 * volume_m3) / (4 * Math.PI));
  if (2 * radius_m <= Math.min(width_m, length_m, depth_m)) return 4 * Math.PI * radius_m ** 2;
  const disc_m = Math.sqrt(volume_m3 / (Math.PI * width_m));
  if (2 * disc_m <= Math.min(length_m, depth_m))
    return 2 * Math.PI * disc_m * width_m + 2 * Math.PI * disc_m ** 2;
  const along_m = Math.min(length_m, volume_m3 / (width_m * depth_m));
  return 2 * (width_m * depth_m + width_m * along_m + depth_m * along_m);
}
