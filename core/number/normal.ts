/**
 * Half the width of an 80 % band of the standard normal: the deviate of its 90th percentile. Every ± of ours that is no
 * standard deviation is that wide (Φ⁻¹(0.9); Abramowitz & Stegun 1964, table 26.5).
 */
export const Z_80 = 1.2815515655446004
