import { chairSize } from '../posture/chair';
import type { ChairPlace } from '../shapes/shape';
import { line, rectangle, type Frame, type Shape } from './scene';

/** Thickness of the seat, and how far the legs stand in from its edges; metres. */
const parts = { seatM: 0.03, frontLegM: 0.02, backLegM: 0.01 } as const;

/** A chair from the side, its backrest on whichever side it stands. */
export function drawChair(
  frame: Frame,
  { frontX, backX, seatM = chairSize.seatM }: ChairPlace,
): Shape[] {
  // The back rises from the seat, however high that is.
  const backM = chairSize.backM - chairSize.seatM + seatM;
  const inwards = Math.sign(backX - frontX);
  const left = Math.min(frontX, backX);
  const width = Math.abs(backX - frontX) * frame.pxPerM;
  const seatPx = parts.seatM * frame.pxPerM;
  const frontLegX = frame.x(frontX + inwards * parts.frontLegM);
  const backLegX = frame.x(backX - inwards * parts.backLegM);
  return [
    rectangle('prop', frame.x(left), frame.y(seatM), width, seatPx),
    line('wall', frontLegX, frame.y(seatM) + seatPx, frontLegX, frame.y(0)),
    line('wall', backLegX, frame.y(backM), backLegX, frame.y(0)),
  ];
}
