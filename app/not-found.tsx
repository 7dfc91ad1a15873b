import { Page } from '@/design/Page';
import classes from '@/design/page.module.css';

export const metadata = { title: 'Not found' };

/** Comes with every page, so it brings nothing of its own along, and leads on by a fresh page. */
export default function NotFound() {
  return (
    <main id="main">
      <Page>
        <h1 className={classes.plainTitle}>Nothing here</h1>
        <p>
          {/* oxlint-disable nextjs/no-html-link-for-pages -- see above */}
          This address leads nowhere. <a href="/">Back to tonight</a>, or to{' '}
          <a href="/people">the people</a>.{/* oxlint-enable nextjs/no-html-link-for-pages */}
        </p>
      </Page>
    </main>
  );
}
