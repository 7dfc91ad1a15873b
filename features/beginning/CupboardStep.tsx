import { CupboardTable } from '@/features/room/CupboardTable';
import type { RoomView } from '@/features/room/read';
import { LinkButton } from '@/design/LinkButton';
import { stepHref } from './steps';

/** Count what is there; what is not counted is not planned with. */
export function CupboardStep({ view }: { readonly view: RoomView }) {
  return (
    <>
      <p>
        Count what is there; it is kept as you count. What is not counted is not planned with:
        everybody works without it.
      </p>
      <CupboardTable view={view} />
      <p>
        <LinkButton href={stepHref('placing', view.course.id)} size="md">
          On to the placing
        </LinkButton>
      </p>
    </>
  );
}
