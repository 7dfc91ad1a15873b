/** Checks of the day under names that do not say what they are about, for devices of assistants. */
import type { CheckInClass } from '../catalog/keys';
import { getCheck, isShippedCheck, type CheckKey } from '../catalog/checks';
import { hiddenWords, type HiddenCheck } from '../catalog/hiddenCheck';

/** A check as a class carries it. */
interface CheckOfClass {
  readonly check: CheckKey;
  readonly label: string;
  readonly isPrivate?: true;
}

/** The teacher's alone; classes that began before they said so are known by the catalog. */
export const isPrivateCheck = ({
  check,
  isPrivate,
}: {
  readonly check: CheckInClass;
  readonly isPrivate?: true;
}): boolean => isPrivate === true || (isShippedCheck(check) && getCheck(check).isPrivate === true);

export interface Hide {
  /** A name for a check of the day that does not say what it is about. */
  (checkOrLabel: string): HiddenCheck;
  readonly isPrivate: (check: CheckInClass) => boolean;
}

/** Numbers the checks of the day: that one is confirmed is an assistant's to know, not which. */
export function hideChecks(checks: readonly CheckOfClass[]): Hide {
  const names = new Map(
    checks.flatMap(({ check, label }, index) => {
      const name: HiddenCheck = `${hiddenWords} ${index + 1}`;
      return [
        [check, name],
        [label, name],
      ] as const;
    }),
  );
  const hidden = new Set<CheckInClass>(checks.filter(isPrivateCheck).map(({ check }) => check));
  return Object.assign((text: string) => names.get(text) ?? hiddenWords, {
    isPrivate: (check: CheckInClass) => hidden.has(check) || isPrivateCheck({ check }),
  });
}
