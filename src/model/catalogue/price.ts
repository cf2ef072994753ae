/** 1 cheapest to 5 dearest of its kind; classes instead of prices, which differ by place and year. */
export type PriceClass = 1 | 2 | 3 | 4 | 5;

/** Where the values of the shelf come from. */
export const TYPICAL = 'typical (from memory)';
