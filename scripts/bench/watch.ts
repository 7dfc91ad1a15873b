/** Two hundred thousand made-up people against the watcher. */
import { watchPerson } from '@/core/testing/inventPerson';
import { print } from './timing';

const people = 200_000;

function benchWatch(): void {
  const start = process.hrtime.bigint();
  let told = 0;
  const wrong: string[] = [];
  for (let seed = 1; seed <= people; seed += 1) {
    const found = watchPerson(seed);
    told += found.told;
    wrong.push(...found.wrong);
  }
  print({
    name: `Watched from outside: ${people} people, ${told} things told, ${wrong.length} wrong`,
    median: Number(process.hrtime.bigint() - start) / 1e6,
    unit: 'ms',
  });
  for (const words of wrong.slice(0, 20)) console.log(`  ${words}`);
}

benchWatch();
