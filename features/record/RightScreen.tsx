'use client';

import { NativeSelect, Title } from '@mantine/core';
import { Link } from '@/design/Link';
import { useRouter } from 'next/navigation';
import { leaningWords, reliabilityRules, type Bin } from '@/core/calibration/reliability';
import type { Sides } from '@/core/calibration/verdicts';
import { verdictWords } from '@/design/marks/VerdictMark';
import { FigureTable } from './FigureTable';
import { ReliabilityChart } from './ReliabilityChart';
import type { RightRecord } from './right';
import classes from './record.module.css';

const inHundred = (share: number | null) =>
  share === null ? '–' : `${Math.round(share * 100)} in 100`;
const points = (brier: number | null) => (brier === null ? '–' : brier.toFixed(3));

const binRow = (bin: Bin) => [
  `${Math.round(bin.low * 100)} to ${Math.round(bin.high * 100)}`,
  String(bin.count),
  inHundred(bin.said),
  inHundred(bin.expected),
  inHundred(bin.came),
  bin.cameLow === null || bin.cameHigh === null
    ? '–'
    : `${Math.round(bin.cameLow * 100)} to ${Math.round(bin.cameHigh * 100)}`,
];

/** What was said of this course, and how often it came. */
export function RightScreen({ record }: { readonly record: RightRecord }) {
  const router = useRouter();
  const { course, courses, told } = record;
  const { all, checks, verdicts, advances, gates, differing, rounding, undecided } = told;
  const silent = gates.filter(({ decided }) => decided === 0);
  return (
    <>
      <div className={classes.head}>
        <Title order={1} size="1.8rem">
          Was it right?
        </Title>
        <NativeSelect
          aria-label="Course"
          value={String(course.id)}
          data={courses.map(({ id, name }) => ({ value: String(id), label: name }))}
          onChange={({ currentTarget: { value } }) => router.push(`/record/right?course=${value}`)}
        />
        <Link href={`/record?course=${course.id}`} data-alone>
          the weeks
        </Link>
        <a href={`/record/right/file?course=${course.id}`} data-alone>
          CSV
        </a>
      </div>
      <p className={classes.lead}>
        The record is read again without its future: before each evening, what would have been said
        of each hold, count and pass; after it, what came. <strong>{leaningWords(all)}</strong>
      </p>
      {all.count > 0 && (
        <div className={classes.grid}>
          <section className={classes.block} aria-label="Said and came">
            <div className={classes.blockHead}>
              <h2>Said and came, {all.count} looks</h2>
            </div>
            <ReliabilityChart bins={all.bins} />
          </section>
          <section className={classes.block} aria-label="Figures">
            <div className={classes.blockHead}>
              <h2>Figures</h2>
            </div>
            <FigureTable
              of="said and came"
              whole
              head={[
                'said, in 100',
                'looks',
                'said',
                'to be expected',
                'came',
                'nine in ten lie in',
              ]}
              rows={all.bins.filter(({ count }) => count > 0).map(binRow)}
            />
            <p>
              Distance from what came (Brier score, 0 is perfect): {points(all.brier)} as said,{' '}
              {points(all.brierExpected)} with an evening’s scatter; always saying{' '}
              {inHundred(all.came)} would give {points(all.brierOfShare)}.
            </p>
            <p className={classes.quiet}>
              What is said is about the level; a single evening scatters round it by about a fifth,
              so what is to be expected of one look is nearer the middle.
              {undecided > 0 &&
                ` ${undecided} holds were stopped under the bar and say nothing here.`}
              {rounding.isRounded &&
                ` ${rounding.fives} of ${rounding.holds} holds end on a five or a nought: they look rounded, and say less than seconds would.`}
            </p>
          </section>
          <section className={classes.block} data-wide="true" aria-label="Check by check">
            <div className={classes.blockHead}>
              <h2>Check by check</h2>
            </div>
            <FigureTable
              of="check by check"
              whole
              head={['check', 'looks', 'to be expected', 'came', 'Brier', '']}
              rows={checks.map((one) => [
                one.base === null ? one.label : `${one.label}, ${one.base}`,
                String(one.count),
                inHundred(meanExpected(one.bins)),
                inHundred(one.came),
                points(one.brier),
                leaningWords(one),
              ])}
            />
          </section>
        </div>
      )}
      <div className={classes.grid}>
        <section className={classes.block} aria-label="Verdicts">
          <div className={classes.blockHead}>
            <h2>Verdicts, and the next look at their gates</h2>
          </div>
          {verdicts.length === 0 ? (
            <p>No decision was written down yet; the review after a class does that.</p>
          ) : (
            <FigureTable
              of="verdicts"
              whole
              head={['verdict', 'said', 'looked at again', 'came']}
              rows={verdicts.map(({ kind, said, looked, came }) => [
                verdictWords[kind],
                String(said),
                String(looked),
                looked === 0 ? '–' : `${came} (${inHundred(came / looked)})`,
              ])}
            />
          )}
          <p>
            {advances.count === 0
              ? 'Nobody has advanced yet.'
              : `${advances.steppedBack} of ${advances.count} advances were a step back within three meetings.`}
          </p>
        </section>
        <section className={classes.block} aria-label="Where the teacher differs">
          <div className={classes.blockHead}>
            <h2>Where you differ</h2>
          </div>
          <p>Further than suggested: {sidesWords(differing.bolder)}</p>
          <p>Less far than suggested: {sidesWords(differing.stricter)}</p>
          <h3>Checks that never decided anything</h3>
          <p>
            {gates.length === 0
              ? 'No gate was judged yet.'
              : silent.length === 0
                ? 'Every check of the judged gates has decided once.'
                : silent.map(({ label, judged }) => `${label} (asked ${judged} times)`).join(', ')}
          </p>
        </section>
      </div>
      {all.count > 0 && all.count < reliabilityRules.least && (
        <p className={classes.quiet}>
          With so few looks every share may be off by a lot; the bars in the diagram show how much.
        </p>
      )}
    </>
  );
}

function meanExpected(bins: readonly Bin[]): number | null {
  const count = bins.reduce((sum, bin) => sum + bin.count, 0);
  if (count === 0) return null;
  return bins.reduce((sum, bin) => sum + bin.count * (bin.expected ?? 0), 0) / count;
}

function sidesWords({ times, teacher, suggestion, unknown }: Sides): string {
  if (times === 0) return 'never.';
  return `${times} ${times === 1 ? 'time' : 'times'}; what was seen next spoke ${teacher} for you, ${suggestion} for the suggestion, and ${unknown} stayed open.`;
}
