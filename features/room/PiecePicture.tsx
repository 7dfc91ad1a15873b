import type { PieceSpec } from '@/core/catalog/pieces';

interface PiecePictureProps {
  readonly piece: string;
  readonly spec: PieceSpec;
}

const box = { width: 72, height: 48, margin: 5 } as const;
/** How far the depth runs back in the drawing. */
const oblique = { x: 0.42, y: 0.3 } as const;

const ink = { stroke: 'var(--lv-ink)', strokeWidth: 1.3, fill: 'var(--lv-prop)' } as const;
const thin = { stroke: 'var(--lv-soft)', strokeWidth: 0.8, fill: 'none' } as const;

/** A piece as it lies, from the front and a little above, in its own proportions. */
export function PiecePicture({ piece, spec }: PiecePictureProps) {
  return (
    <svg
      width={box.width}
      height={box.height}
      viewBox={`0 0 ${box.width} ${box.height}`}
      aria-hidden
    >
      {drawPiece(piece, spec)}
    </svg>
  );
}

function drawPiece(piece: string, spec: PieceSpec) {
  if (spec.kind === 'strap') {
    return (
      <g {...thin} stroke="var(--lv-green)" strokeWidth={3}>
        <ellipse cx={34} cy={25} rx={20} ry={12} />
        <ellipse cx={34} cy={25} rx={13} ry={7} />
        <path d="M54 25 q6 8 12 4" />
      </g>
    );
  }
  if (piece === 'chair') {
    return (
      <g {...ink} fill="none" strokeWidth={2}>
        <path d="M46 4 V44 M22 26 H46 M22 26 V44 M46 8 H50" />
        <path d="M28 22 H52 L46 26 M22 26 L28 22" strokeWidth={1.2} />
      </g>
    );
  }
  if (piece === 'wedge') {
    return (
      <g {...ink}>
        <path d="M8 38 H52 L52 26 Z" />
        <path d="M52 26 L64 18 V30 L52 38 Z" />
        <path d="M8 38 L20 30 L64 18 L52 26 Z" />
      </g>
    );
  }
  if (piece === 'bolster-round') {
    return (
      <g {...ink}>
        <path d="M14 14 H56 A6 11 0 0 1 56 36 H14 Z" />
        <ellipse cx={14} cy={25} rx={6} ry={11} />
      </g>
    );
  }
  return <ObliqueBox spec={spec} />;
}

function ObliqueBox({ spec }: { readonly spec: PieceSpec }) {
  const { lengthM, widthM, thicknessM } = spec;
  const wide = lengthM + oblique.x * widthM;
  const high = thicknessM + oblique.y * widthM;
  const scale = Math.min((box.width - 2 * box.margin) / wide, (box.height - 2 * box.margin) / high);
  const [l, t] = [lengthM * scale, Math.max(2, thicknessM * scale)];
  const [dx, dy] = [oblique.x * widthM * scale, oblique.y * widthM * scale];
  const x = (box.width - l - dx) / 2;
  const y = box.height - (box.height - t - dy) / 2;
  const hatches = Math.max(2, Math.round(l / 7));
  return (
    <g {...ink} strokeLinejoin="round">
      <path d={`M${x} ${y - t} l${dx} ${-dy} h${l} l${-dx} ${dy} Z`} />
      <path d={`M${x + l} ${y - t} l${dx} ${-dy} v${t} l${-dx} ${dy} Z`} />
      <path d={`M${x} ${y} h${l} v${-t} h${-l} Z`} />
      {spec.isFirm &&
        Array.from({ length: hatches }, (_, index) => {
          const at = x + ((index + 0.5) * l) / hatches;
          return (
            <path key={index} {...thin} d={`M${at - t * 0.3} ${y} L${at + t * 0.3} ${y - t}`} />
          );
        })}
    </g>
  );
}
