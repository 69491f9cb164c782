/** How often a property is tried: as often as said, and more while exploring. */
export const runs = (usual: number) => usual * Number(process.env.FONETRA_EXPLORE ?? 1)
