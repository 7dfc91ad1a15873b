import { regionTable, regions, type RegionLoads } from '@/core/catalog/regions';
import { joinWords } from '@/core/units/words';

/** What a rung works, as shares of full load: `wrists and shoulders fully; trunk 50 % of full load`. */
export function sayLoads(loads: RegionLoads): string {
  const worked = regions.flatMap((region) => {
    const percent = Math.round((loads[region] ?? 0) * 100);
    return percent > 0 ? [{ label: regionTable[region].label, percent }] : [];
  });
  if (worked.length === 0) return 'nothing to speak of';
  const full = worked.filter(({ percent }) => percent >= 100).map(({ label }) => label);
  const less = worked
    .filter(({ percent }) => percent < 100)
    .map(({ label, percent }) => `${label} ${percent} %`);
  return [
    ...(full.length > 0 ? [`${joinWords(full)} fully`] : []),
    ...(less.length > 0 ? [`${less.join(', ')} of full load`] : []),
  ].join('; ');
}
