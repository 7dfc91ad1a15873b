/** By agreement, exactly. */
export const metresPerInch = 0.0254;
