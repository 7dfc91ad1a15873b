/** Set-ups measured from the wall. Source: handbook 04 "Wall distances". */
import { pieceTable, specOf } from '../catalog/pieces';
import { profileTable } from '../catalog/profiles';
import { adviseStack } from './stackAdvice';
import { measureDistance } from './distance';
import { forearmKickSetup } from './forearmKick';
import { cm, countOf, type RecipeResult, type RecipeInput } from './recipe';

const rules = {
  /** Beyond one hand from the wall, for the kick up to handstand. */
  handKickOverM: 0.05,
  bolsterShare: 0.06,
  bolsterLeadM: 0.02,
  /** From the wall to the low block the hands wrap round. */
  lowBlockOutM: 0.05,
  /** The blade tips lie this share of height beyond the shoulder line. */
  bladeShare: 0.09,
} as const;

const wrists = {
  label: 'Wrists from the wall',
  mark: 'wall to the wrist crease, along the floor',
} as const;

export function forearmKick(input: RecipeInput): RecipeResult {
  const setup = forearmKickSetup(input);
  const {
    otherBases,
    spacerGap: _,
    forearmLift: __,
    strapLoop: ___,
    ...distances
  } = setup.distances;
  const { leanDeg, bendIfUpperArmsUprightDeg } = setup.lean;
  return {
    distances: [...Object.values(distances).filter((d) => d !== undefined), ...otherBases],
    cautions: setup.cautions,
    notes: [
      `The distance forces a lean of ${Math.round(leanDeg)}°, or a bend of ${Math.round(bendIfUpperArmsUprightDeg)}° over upright upper arms.`,
      ...setup.notes,
    ],
  };
}

export function forearmL({ body }: RecipeInput): RecipeResult {
  return {
    distances: [
      measureDistance(body, 'base', (l) => l.sittingLegReach, {
        mark: 'wall to the point of the elbow; sit with the soles on the wall and mark beside the hip',
        why: 'leg reach, sole to hip joint',
      }),
      measureDistance(body, 'footHeight', (l) => l.upperArm + l.trunk),
      measureDistance(body, 'elbowWidth', (l) => l.shoulderJointWidth),
    ],
    cautions: [],
    notes: ['If the waist looks short, elbows away from the wall until the sides are long.'],
  };
}

export function handKick({ body }: RecipeInput): RecipeResult {
  return {
    distances: [
      measureDistance(body, 'gap', (l) => l.hand + rules.handKickOverM, {
        mark: 'wall to the fingertips',
        why: 'one hand + 5 cm',
      }),
      measureDistance(body, 'base', (l) => 2 * l.hand + rules.handKickOverM, {
        ...wrists,
        why: 'gap + hand',
      }),
      measureDistance(body, 'base.halfReach', (l) => l.armReach / 2),
    ],
    cautions: [],
    notes: [
      'Bent-knee and straddle hops: fingertips 15 to 30 cm from the wall. Slow single leg: 10 to 15 cm.',
    ],
  };
}

export function handL({ body, profile, settings }: RecipeInput): RecipeResult {
  const sitting = measureDistance(body, 'base.sitting', (l) => l.sittingLegReach);
  const table = measureDistance(body, 'base.table', (l) => l.shank + body.ankleM + l.trunk);
  const reach = measureDistance(body, 'base.reach', (l) => l.armReach + l.foot);
  const chosen = { sitting, table, reach }[(settings ?? profileTable[profile]).handLMethod];
  return {
    distances: [
      { ...chosen, id: 'base', ...wrists },
      sitting,
      table,
      reach,
      measureDistance(body, 'footHeight', (l) => l.forearm + l.upperArm + l.trunk),
    ],
    cautions: [],
    notes: [
      'If the waist looks short, hands away from the wall until the sides are long; too strong, 5 cm further still.',
      'The L is full weight on the hands with the fear taken out.',
    ],
  };
}

export function bolsterLean({ body, pieces }: RecipeInput): RecipeResult {
  const { thicknessM } = pieceTable['bolster-round'];
  const palms = body.lengths.shoulderJointWidth - body.lengths.palmBreadth;
  const cautions: string[] = [];
  if (countOf(pieces, 'bolster-round') === 0) {
    cautions.push('No round bolster at hand: a blanket rolled to the same thickness, tied.');
  } else if (thicknessM >= palms) {
    cautions.push(
      `The bolster (${cm(thicknessM)}) does not fit between the palms (${cm(palms)}): use a rolled blanket.`,
    );
  }
  return {
    distances: [
      measureDistance(
        body,
        'base',
        () => thicknessM + rules.bolsterShare * body.heightM + rules.bolsterLeadM,
        { ...wrists, why: 'bolster thickness + 0.06 of height + shoulder lead of 2 cm' },
      ),
    ],
    cautions,
    notes: ['Fingertips end beside the bolster, not in it and not in the wall.'],
  };
}

export function box({ body }: RecipeInput): RecipeResult {
  return {
    distances: [
      measureDistance(body, 'base', (l) => l.armReach + l.foot, {
        ...wrists,
        why: 'arm reach + one foot, facing away',
      }),
      measureDistance(body, 'footHeight', (l) => l.forearm + l.upperArm + l.trunk),
    ],
    cautions: [],
    notes: ['If it goes, a step down or a bridge; leave the floor behind free.'],
  };
}

export function cornerDolphin({ body }: RecipeInput): RecipeResult {
  return {
    distances: [measureDistance(body, 'elbowWidth', (l) => l.shoulderJointWidth)],
    cautions: [],
    notes: [
      'Elbows where floor and wall meet, forearms upright on the wall, block between the hands; knees bent, head off the floor.',
    ],
  };
}

/**
 * A low block a few centimetres out, and a pair flush to the wall that carries the upper back: the
 * pair's top somewhere between shoulder line and blade tips of upright upper arms.
 */
export function shoulderRest({ body, pieces }: RecipeInput): RecipeResult {
  const half = (rules.bladeShare / 2) * body.heightM;
  const target = measureDistance(body, 'stackHeight', (l) => l.upperArm + half);
  // Low block and pair are blocks of one column, half a block wide enough for the upper back.
  const blocks = pieces.filter((one) => specOf(one).kind === 'block');
  const { stack, cautions } = adviseStack({
    targetM: target.metres,
    toleranceM: half,
    footprintM: [0.14, 0.09],
    pieces: blocks,
  });
  return {
    distances: [measureDistance(body, 'lowBlockOut', () => rules.lowBlockOutM), target],
    stack,
    cautions: [
      ...cautions,
      'The pair must lie on the low block by half its depth or on a column of its own; a stack that rocks is taken apart.',
    ],
    notes: ['Hands wrap round the low block, upper back against the pair, head free.'],
  };
}
