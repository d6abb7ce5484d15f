/** What one sets and drags. */
export type Face = 'particulars' | 'stock'
/** What opens in the same column from where it is read. */
export type Aside = 'preflight' | 'other' | 'history' | 'sheets' | 'scene' | 'drawing' | 'moment'
