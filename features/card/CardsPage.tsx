import { Group, Title } from '@mantine/core';
import { counted, joinWords } from '@/core/units/words';
import { LinkButton } from '@/design/LinkButton';
import { Page } from '@/design/Page';
import { PrintButton } from '@/design/PrintButton';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { readCards } from './cardsTonight';
import { SetupCard } from './SetupCard';
import classes from './card.module.css';

/** Everyone's cards, one after the other; on paper one to a page. */
export function CardsPage() {
  const view = readCards();
  if (view === null) return <EmptyCourse />;
  const { course, cards, hasPlan, without } = view;
  return (
    <Page>
      <Group justify="space-between" className="no-print" mb="sm">
        <Title order={1} size="1.6rem">
          {hasPlan
            ? `Cards of tonight's plan: ${cards.length}`
            : `Cards for ${counted(cards.length, 'person', 'people')}`}
        </Title>
        <PrintButton />
      </Group>
      {hasPlan ? (
        without.length > 0 && (
          <p className="no-print">Nothing to set up tonight: {joinWords(without)}.</p>
        )
      ) : (
        <p className="no-print">
          No plan stands for this evening: everybody&rsquo;s card is of its rung,{' '}
          {course.stageLabel}.{' '}
          <LinkButton href={`/plan?course=${course.course.id}`} variant="subtle">
            Compose the evening
          </LinkButton>
        </p>
      )}
      <div className={classes.sheet}>
        {cards.map(({ judgement, tonight }) => (
          <SetupCard
            key={`${judgement.person.id} ${judgement.verdict.alternative ?? judgement.verdict.stage} ${tonight ?? ''}`}
            judgement={judgement}
            date={course.meeting.date}
            units={course.settings.units}
            {...(tonight === undefined ? {} : { tonight })}
          />
        ))}
      </div>
    </Page>
  );
}
