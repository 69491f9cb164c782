/**
 * Puts something behind all others of a map, and drops what was asked for longest ago where there are more than so
 * many.
 * @param stays what is never dropped.
 */
export function keepLast<Item>(
  map: Map<string, Item>,
  key: string,
  item: Item,
  most: number,
  stays: (key: string) => boolean = () => false,
): void {
  map.delete(key)
  map.set(key, item)
  for (const old of map.keys()) {
    if (map.size <= most) return
    if (old !== key && !stays(old)) map.delete(old)
  }
}
