/** What is marked in a picture. Source: handbook 13 "Command plumb". */
import type { BodyInput } from '../body/body';
import type { ShapeId } from '../shapes/postures';

export const markNames = [
  'knuckle',
  'wrist',
  'elbow',
  'shoulder',
  'ear',
  'crown',
  'hip',
  'knee',
  'ankle',
  'heel',
  'toe',
  'rib',
  'pelvisFront',
] as const;
export type MarkName = (typeof markNames)[number];

/** Pixels: x to the right, y down. */
export type Pixel = readonly [x: number, y: number];

/** A mark, with one standard deviation of its reading per axis where the reader gives one, pixels. */
export interface Mark {
  readonly x: number;
  readonly y: number;
  readonly sd?: number;
}

export type MarkSet = Readonly<Partial<Record<MarkName, Mark>>>;
export interface SideMarks {
  readonly near: MarkSet;
  /** A guess behind the near one: shown, never judged. */
  readonly far?: MarkSet;
}
/** The person's own left and right. */
export interface FacingMarks {
  readonly left: MarkSet;
  readonly right: MarkSet;
}

export const plumbBases = ['hands', 'forearms', 'head', 'feet'] as const;
/** What carries the weight. */
export type PlumbBase = (typeof plumbBases)[number];

export const scaleSegments = ['trunk', 'forearm', 'shank', 'thigh'] as const;
export type ScaleSegment = (typeof scaleSegments)[number];

export type PixelLine = readonly [Pixel, Pixel];
export type Scale =
  | { readonly from: Pixel; readonly to: Pixel; readonly metres: number }
  /** A segment of this person that lies in the picture's plane. */
  | { readonly segment: ScaleSegment };

/** What every picture may say besides its marks. */
export interface PictureFacts {
  readonly base: PlumbBase;
  readonly shape?: ShapeId;
  readonly floor?: PixelLine;
  readonly wall?: PixelLine;
  readonly scale?: Scale;
  readonly body?: BodyInput;
  /** The school stands over the first knuckle, not over the wrist. */
  readonly isOverKnuckle?: true;
}

export type StillInput = PictureFacts &
  (
    | { readonly view: 'side'; readonly facing: 'left' | 'right'; readonly marks: SideMarks }
    | { readonly view: 'front' | 'back'; readonly marks: FacingMarks }
  );

/** Whose mark: of the side that is seen and the other, or of the person's own left and right. */
export type Whose = 'near' | 'far' | 'left' | 'right';

/** What is marked in one picture, as it is worked on and kept. Pixels of the picture. */
export interface Sheet {
  readonly view: StillInput['view'];
  readonly facing: 'left' | 'right';
  readonly base: PlumbBase;
  readonly shape: ShapeId | null;
  readonly marks: Readonly<Record<Whose, MarkSet>>;
  readonly floor: PixelLine | null;
  readonly wall: PixelLine | null;
  readonly scale: SheetScale;
}

export type SheetScale =
  | { readonly kind: 'none' }
  | { readonly kind: 'points'; readonly line: PixelLine; readonly metres: number }
  | { readonly kind: 'segment'; readonly segment: ScaleSegment };
