/** What an option made of a rung is called, as plans and pins name it: made and read here alone. */

const parted = '+';

/** The rung, with what makes this one of it another: `FS9`, `FS9+eased+straddle`. */
export const optionIdOf = (
  stage: string,
  {
    isEased,
    wayUp,
    variant,
  }: {
    readonly isEased: boolean;
    readonly wayUp?: string | undefined;
    readonly variant?: string | undefined;
  },
): string => [stage, isEased ? 'eased' : undefined, wayUp, variant].filter(Boolean).join(parted);

/** The rung that an option is made of, also one that is not open: then its name is all there is. */
export const rungOfOption = (id: string): string => id.split(parted)[0]!;
