'use client';

import type { BenchMark, BenchScene } from '@/core/drawing/bench';
import type { DialValues } from '@/core/shapes/dials';
import { getDials } from '@/core/shapes/values';
import type { ShapeId } from '@/core/shapes/postures';
import { formatLength, type LengthUnits } from '@/core/units/length';
import { SceneView } from '@/design/drawing/SceneView';
import { useHandle } from '@/design/useHandle';
import classes from './bench.module.css';

interface BenchDrawingProps {
  readonly scene: BenchScene;
  readonly shape: ShapeId;
  readonly values: DialValues;
  readonly units: LengthUnits;
  readonly label: string;
  readonly onTurn: (parameter: string, value: number) => void;
}

const stepM = 0.01;
const wideStepM = 0.05;

/** The drawing with its marks: drag with mouse or finger, or with the arrow keys. */
export function BenchDrawing(props: BenchDrawingProps) {
  const { scene, label } = props;
  return (
    <div className={classes.drawing}>
      <SceneView scene={scene} label={label} isFluid>
        {scene.marks.map((mark) => (
          <Mark key={mark.parameter} mark={mark} {...props} />
        ))}
      </SceneView>
    </div>
  );
}

interface Held {
  readonly value: number;
  readonly unitsPerPx: number;
}

function Mark({
  mark,
  scene,
  shape,
  values,
  units,
  onTurn,
}: BenchDrawingProps & { readonly mark: BenchMark }) {
  const dial = getDials(shape).find(({ parameter }) => parameter === mark.parameter)!;
  const value = values[mark.parameter] ?? dial.low;
  const draw = (held: Held, dxPx: number, dyPx: number) => {
    const moved = mark.axis === 'x' ? dxPx : -dyPx;
    const next = held.value + moved * held.unitsPerPx * mark.perPx;
    onTurn(mark.parameter, Math.round(next * 200) / 200);
  };
  const handle = useHandle<Held>({
    take: (element) => {
      const mine = element as SVGGElement;
      mine.focus();
      const { width } = mine.ownerSVGElement!.getBoundingClientRect();
      return { value, unitsPerPx: scene.widthPx / width };
    },
    move: draw,
    drop: draw,
    cancel: (held) => onTurn(mark.parameter, held.value),
    step: (right, up, isWide) => {
      // Right and up move the mark itself that way, whatever that does to the figure.
      const next = value + (right || up) * (isWide ? wideStepM : stepM) * Math.sign(mark.perPx);
      onTurn(mark.parameter, Math.round(next * 100) / 100);
    },
  });

  return (
    <g
      role="slider"
      tabIndex={0}
      className={classes.mark}
      aria-label={dial.label}
      aria-valuemin={Math.round(dial.low * 100)}
      aria-valuemax={Math.round(dial.high * 100)}
      aria-valuenow={Math.round(value * 100)}
      aria-valuetext={formatLength(value, units)}
      aria-orientation={mark.axis === 'x' ? 'horizontal' : 'vertical'}
      transform={`translate(${mark.x} ${mark.y})`}
      {...handle}
      data-parameter={mark.parameter}
    >
      <circle r={24} className={classes.grip} />
      <circle r={11} className={classes.knob} />
      <path
        d={
          mark.axis === 'x'
            ? 'M-6,0h12M-6,0l3,-3M-6,0l3,3M6,0l-3,-3M6,0l-3,3'
            : 'M0,-6v12M0,-6l-3,3M0,-6l3,3M0,6l-3,-3M0,6l3,-3'
        }
        className={classes.arrow}
      />
    </g>
  );
}
