/** What a wall can be of: the materials that propagation/slab.ts has constants for. */
export type SlabMaterial = 'concrete' | 'brick' | 'plasterboard' | 'glass' | 'wood';
