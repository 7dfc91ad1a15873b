import type { Body } from '@/core/body/body';
import { lengthIds } from '@/core/body/lengths';
import type { ShapeId } from '@/core/shapes/postures';
import type { DialValues } from '@/core/shapes/dials';
import { getDials } from '@/core/shapes/values';
import type { Loads } from '@/core/shapes/loads';
import { formatHeight, formatLength, sayIn, type LengthUnits } from '@/core/units/length';

/** One figure of the bench with everything behind it. */
export interface BenchFigure {
  readonly id: string;
  readonly label: string;
  readonly value: string;
  /** The same as something one can feel. */
  readonly like?: string;
  /** The formula in words, its inputs and its source. */
  readonly why: string;
}

const whole = (value: number) => String(Math.round(value) + 0);

const names = {
  hands: 'On the hands',
  forearms: 'On the forearms',
  feet: 'On the feet',
  knees: 'On the knees',
  head: 'On the head',
  shoulders: 'On the shoulders',
  wallFeet: 'Held up by the wall',
} as const;

const masses =
  'Segment masses and centres after Dempster in Winter, Biomechanics and Motor Control of Human Movement.';

/** What every figure of the bench is worked out from, in words. */
export function describeInputs(
  body: Body,
  shape: ShapeId,
  values: DialValues,
  units: LengthUnits,
): string {
  const dials = getDials(shape).map(({ label, parameter, unit }) => {
    const value = values[parameter]!;
    const said =
      unit === 'm'
        ? formatLength(value, units)
        : unit === 'deg'
          ? `${whole(value)}°`
          : `${whole(value * 100)} %`;
    return `${label.toLowerCase()} ${said}`;
  });
  const measured = lengthIds.filter((id) => body.basis[id] === 'measured');
  const lengths =
    measured.length === 0
      ? 'all lengths estimated from it'
      : `${measured.length} of ${lengthIds.length} lengths measured`;
  return `Inputs: ${[...dials, `height ${formatHeight(body.heightM, units)}`, lengths].join(', ')}.`;
}

const gravity = 9.81;

/** The weight at the end of straight arms that pulls as much: kilograms, or a share of one's own weight. */
export function sayHeldOut(momentNmPerKg: number, { massKg, lengths }: Body): string {
  const share = Math.abs(momentNmPerKg) / (gravity * (lengths.upperArm + lengths.forearm));
  return massKg === undefined
    ? `${Math.round(share * 100)} % of one’s weight`
    : `${Math.round(share * massKg)} kg`;
}

/**
 * The bench's figures in the order they are read: loads, line, reserve.
 *
 * @param inputs what all of them rest on, in words
 */
export function listFigures(
  loads: Loads,
  inputs: string,
  units: LengthUnits,
  body: Body,
): BenchFigure[] {
  const { angles, contacts } = loads;
  const range = ({ low, high }: { low: number; high: number }) =>
    `${whole(low)} to ${whole(high)} %`;
  const figures: BenchFigure[] = contacts.map(({ name, verticalPercent: v }) => ({
    id: name,
    label: names[name],
    value: `${whole(v.nominal)} % of weight`,
    why: `Moments of body weight about the other contact; ${range(v)} as the pressure moves within the contact${name === 'wallFeet' ? ' and friction runs from 0 to 0.5' : ''}. ${masses}`,
  }));
  const push = contacts.find(({ wallPercent }) => wallPercent)?.wallPercent;
  if (push) {
    figures.push({
      id: 'push',
      label: 'Push on the wall',
      value: `${whole(push.nominal)} % of weight`,
      why: `Weight times how far its plumb line lies from the pressure point, over the height of the feet; ${range(push)} from no friction to 0.5. ${masses}`,
    });
  }
  if (angles.leanDeg !== undefined) {
    figures.push({
      id: 'lean',
      label: 'Lean of one line',
      value: `${whole(angles.leanDeg)}°`,
      why: 'Arc sine of the wall distance over the length from base to heel, ankle height included.',
    });
  }
  if (angles.bendIfUpperArmsUprightDeg !== undefined) {
    figures.push({
      id: 'bend',
      label: 'Back bend, if the upper arms stood upright',
      value: `${whole(angles.bendIfUpperArmsUprightDeg)}°`,
      why: 'Arc sine of the wall distance over the length from shoulder to heel: what the back must give instead.',
    });
  }
  figures.push(
    {
      id: 'shoulder',
      label: 'Shoulder angle',
      value: `${whole(angles.shoulderDeg)}°`,
      why: 'Between upper arm and trunk; 180° is overhead in one line.',
    },
    {
      id: 'hip',
      label: 'Hip angle',
      value: `${whole(angles.hipDeg)}°`,
      why: 'Between trunk and thigh; 180° is straight.',
    },
  );
  if (loads.shoulderMomentNmPerKg !== undefined) {
    figures.push({
      id: 'moment',
      label: 'Shoulder moment',
      value: `${loads.shoulderMomentNmPerKg.toFixed(1)} Nm/kg`,
      like: `like ${sayHeldOut(loads.shoulderMomentNmPerKg, body)} held out in front with straight arms`,
      why: `Floor reaction at the nominal pressure point times its distance from the shoulder, less the arms' own weight; both arms together, per kilogram of body mass. ${masses}`,
    });
  }
  if (loads.headClearanceM !== undefined) {
    figures.push({
      id: 'clearance',
      label: 'Head clears the floor',
      value:
        loads.headClearanceM <= 0 ? 'no, it touches' : formatLength(loads.headClearanceM, units),
      why: sayIn(
        'Upper arm + 3 cm of shoulder lift - shoulder line to crown. Proportion and not weakness.',
        units,
      ),
    });
  }
  if (loads.kickRiseM !== undefined) {
    figures.push({
      id: 'kick',
      label: 'Rise in the kick',
      value: formatLength(loads.kickRiseM, units),
      like: 'like a step up of that height, from one foot',
      why: `${(loads.kickRiseM * gravity).toFixed(1)} joules for each kilogram of weight. Rise of the centre of mass from the last foot contact (one leg lifted, foot walked in to 0.45 of height, shoulders over the base) to the top.`,
    });
  }
  if (loads.balance) {
    const { aheadM, behindM } = loads.balance;
    figures.push({
      id: 'balance',
      label: 'Room to sway',
      value: `${formatLength(aheadM, units)} ahead, ${formatLength(behindM, units)} behind`,
      why: 'From the plumb line of the centre of mass to the fingertip side and to the wrist or elbow side.',
    });
  }
  if (loads.neckFlexionDeg !== undefined) {
    figures.push({
      id: 'neck',
      label: 'Neck bends',
      value: `${whole(loads.neckFlexionDeg)}°`,
      why: 'Trunk angle less the arc sine of platform over neck lever (skull base to C7 + 0.06 of height).',
    });
  }
  if (loads.shoulderLeadM !== undefined) {
    figures.push({
      id: 'lead',
      label: 'Shoulders ahead of the wrists',
      value: formatLength(loads.shoulderLeadM, units),
      why: 'How far they must travel for the centre of mass to stand over the knuckle line.',
    });
  }
  return figures.map((figure) => ({ ...figure, why: `${figure.why} ${inputs}` }));
}
