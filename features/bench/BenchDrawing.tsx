'use client';

import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { BenchMark, BenchScene } from '@/core/drawing/bench';
import type { DialValues } from '@/core/shapes/dials';
import { getDials } from '@/core/shapes/values';
import type { ShapeId } from '@/core/shapes/postures';
import { formatLength, type LengthUnits } from '@/core/units/length';
import { SceneView } from '@/design/drawing/SceneView';
import classes from './bench.module.css';

interface BenchDrawingProps {
  readonly scene: BenchScene;
  readonly family: ShapeId;
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

interface Drag {
  readonly from: number;
  readonly value: number;
  readonly unitsPerPx: number;
}

function Mark({
  mark,
  scene,
  family,
  values,
  units,
  onTurn,
}: BenchDrawingProps & { readonly mark: BenchMark }) {
  const drag = useRef<Drag | null>(null);
  const dial = getDials(family).find(({ parameter }) => parameter === mark.parameter)!;
  const value = values[mark.parameter]!;

  const start = (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    event.currentTarget.focus();
    const svg = event.currentTarget.ownerSVGElement!;
    drag.current = {
      from: mark.axis === 'x' ? event.clientX : event.clientY,
      value: value!,
      unitsPerPx: scene.widthPx / svg.getBoundingClientRect().width,
    };
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    const held = drag.current;
    if (held === null) return;
    const moved = mark.axis === 'x' ? event.clientX - held.from : held.from - event.clientY;
    const next = held.value + moved * held.unitsPerPx * mark.perPx;
    onTurn(mark.parameter, Math.round(next * 200) / 200);
  };
  const end = () => {
    drag.current = null;
  };
  const press = (event: KeyboardEvent<SVGGElement>) => {
    const ahead = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
    if (ahead === undefined) return;
    event.preventDefault();
    const step = event.shiftKey ? wideStepM : stepM;
    // Right and up move the mark itself that way, whatever that does to the figure.
    const next = value + ahead * step * Math.sign(mark.perPx);
    onTurn(mark.parameter, Math.round(next * 100) / 100);
  };

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
      onPointerDown={start}
      onPointerMove={move}
      onPointerUp={end}
      onPointerCancel={end}
      onKeyDown={press}
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
