import { PageHead } from '@/components/PageHead/PageHead';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import type { Metadata } from 'next';
import { PLAN_KEYS } from '../[layoutId]/_state/planKeys';
import classes from './page.module.css';

export const metadata: Metadata = { title: 'Keys' };

/** Everything on the plan by keys. */
export default async function KeysPage() {
  await yardContext(may.instruct);
  return (
    <>
      <PageHead
        title="Keys of the plan"
        sub="Everything on the sand can be done without a mouse. On a Mac, Cmd stands for Ctrl."
      />
      <div className={classes.columns}>
        {PLAN_KEYS.map(({ title, keys }) => (
          <section key={title}>
            <h2>{title}</h2>
            <dl className={classes.keys}>
              {keys.map(({ keys: pressed, does }) => (
                <div key={pressed}>
                  <dt>{pressed}</dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
        <section>
          <h2>By hand on a tablet</h2>
          <dl className={classes.keys}>
            <div>
              <dt>Two fingers</dt>
              <dd>closer in and further out</dd>
            </div>
            <div>
              <dt>A finger on the sand</dt>
              <dd>pushes it about; on an item, drags it</dd>
            </div>
            <div>
              <dt>A long press</dt>
              <dd>selects an item together with what is selected already</dd>
            </div>
          </dl>
        </section>
      </div>
    </>
  );
}
