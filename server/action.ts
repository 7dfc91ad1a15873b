/** A use case as the screens call it: asked by the teacher alone, and whatever goes wrong stays inside. */
import type { Outcome } from './result';
import { look, run } from './run';

type UseCase<Asked extends unknown[], T> = (...asked: Asked) => Outcome<T> | Promise<Outcome<T>>;
type Action<Asked extends unknown[], T> = (...asked: Asked) => Promise<Outcome<T>>;

/**
 * A change of the teacher's; afterwards the screens are read anew.
 *
 * @param before done first, such as a copy of what is about to change
 */
export const action =
  <Asked extends unknown[], T>(
    useCase: UseCase<Asked, T>,
    before?: () => Promise<unknown>,
  ): Action<Asked, T> =>
  (...asked) =>
    run(async () => {
      await before?.();
      return useCase(...asked);
    });

/**
 * A change that the screen that asks shows already: it is not read anew for it, and has to see to it
 * that no other screen shows what was before (`router.refresh()`).
 */
export const shownAction =
  <Asked extends unknown[], T>(useCase: UseCase<Asked, T>): Action<Asked, T> =>
  (...asked) =>
    run(() => useCase(...asked), true);

/** The same for what changes nothing. */
export const question =
  <Asked extends unknown[], T>(useCase: UseCase<Asked, T>): Action<Asked, T> =>
  (...asked) =>
    look(() => useCase(...asked));
