/** What a motor's brushes are made of. */
export type BrushKind = 'carbon' | 'metal';

/** What a gear is made of. */
export type GearMaterial =
  'hardened steel' | 'plain steel' | '7075 aluminium' | 'brass' | 'nylon or acetal' | 'printed';

/** What a shaft is made of. */
export type ShaftMaterial = 'hardened steel' | 'mild steel' | '7075 aluminium' | '6061 aluminium';

/** Shape of a belt's teeth. Unknown ones are taken as round, the weaker. */
export type BeltProfile = 'round' | 'modified round';
