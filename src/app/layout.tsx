import './mantineStyles.css';
import '@fontsource-variable/atkinson-hyperlegible-next/wght.css';
import '@fontsource-variable/besley/wght.css';
import './globals.css';
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import { nowMs } from '@/components/nowMs';
import { KeepsPages } from '@/components/offline/KeepsPages';
import { ClockNotice } from '@/components/Shell/ClockNotice';
import { Notes } from '@/components/Shell/Notes';
import { Rail } from '@/components/Shell/Rail';
import { ThreadProvider } from '@/components/Shell/thread';
import { signOutAction } from './sign-in/actions';
import { readThread } from '@/components/Shell/threadCookie';
import { THREAD_COOKIE } from '@/components/Shell/threadName';
import { SampleBar } from '@/components/Shell/SampleBar';
import { TopBar } from '@/components/Shell/TopBar';
import { Styled } from '@/components/Shell/Styled';
import { MayPlanProvider } from '@/components/who/mayPlan';
import { ColorSchemeScript, mantineHtmlProps } from '@mantine/core';
import type { Metadata, Viewport } from 'next';
import { cookies, headers } from 'next/headers';
import type { ReactNode } from 'react';
import { yardGaitWords, yardOf } from './_server/yardContext';
import { chooseUnit } from './_server/chooseUnit';
import { isSample } from '@/data/queries/sampleYard';
import { roan } from '@/data/roan';
import { clockBehindMs } from './_server/serverClock';
import { trustClockAction } from './_server/trustClockAction';
import { isInstructor } from './_server/access/isInstructor';
import { sampleSteps } from './_server/sampleSteps';
import { whoIsThere, yardsHere } from './_server/access/whoIsThere';
import { yardTime } from './_server/yardTime';
import { EARLY_TAPS } from './ride/_state/pad/earlyTaps';
import { keepSampleAction, throwSampleAwayAction } from './yards/sampleActions';
import { nonceOf } from './_server/guards/contentPolicy';
import classes from './layout.module.css';

export const metadata: Metadata = { title: { default: 'Roan', template: '%s · Roan' } };
export const viewport: Viewport = { width: 'device-width', initialScale: 1 };

export default async function RootLayout({ children }: { children: ReactNode }) {
  const nonce = nonceOf((await headers()).get('content-security-policy'));
  const who = await whoIsThere();
  const opened = who && (await yardOf(who.yardId));
  const gaitWords = opened ? await yardGaitWords(opened.yard.id) : 'english';
  const yards = who === null || who.open ? [] : await yardsHere();
  const nowAtMs = nowMs();
  const behindMs = opened ? await clockBehindMs(await roan(), nowAtMs) : 0;
  const steps =
    opened && isInstructor(who) && (await isSample(opened.db, opened.yard.id))
      ? await sampleSteps(opened.db, opened.yard.id, nowAtMs)
      : [];
  const day = (atMs: number) => yardTime(atMs, opened?.yard.timeZone ?? 'UTC', 'D MMM YYYY, HH:mm');
  const thread = who === null ? {} : readThread((await cookies()).get(THREAD_COOKIE)?.value);
  return (
    <html lang="en-GB" data-yard={opened?.yard.id} {...mantineHtmlProps}>
      <head>
        <script nonce={nonce} suppressHydrationWarning dangerouslySetInnerHTML={{ __html: EARLY_TAPS }} />
        <ColorSchemeScript defaultColorScheme="auto" nonce={nonce} />
      </head>
      <body>
        <Styled nonce={nonce}>
          <Notes />
          <LengthsProvider unit={opened?.unit ?? 'm'} gaitWords={gaitWords}>
            <ThreadProvider initial={thread}>
              {who === null || opened === null ? (
                <main className={classes.main}>{children}</main>
              ) : (
                <div className={classes.shell}>
                  <KeepsPages madeAtMs={nowAtMs} />
                  <Rail role={who.open ? 'instructor' : who.role} />
                  <div className={classes.place}>
                    <TopBar
                      yardName={opened.yard.name}
                      hasMoreYards={yards.length > 1}
                      unit={opened.unit}
                      onChooseUnit={chooseUnit}
                      onSignOut={signOutAction}
                      who={who.open ? null : { name: who.name, role: who.role }}
                    />
                    {steps.length > 0 && (
                      <SampleBar
                        yardId={opened.yard.id}
                        steps={steps}
                        onThrow={throwSampleAwayAction}
                        onKeep={keepSampleAction}
                      />
                    )}
                    {behindMs > 0 && (
                      <ClockNotice says={day(nowAtMs)} before={day(nowAtMs + behindMs)} onTrust={trustClockAction} />
                    )}
                    <main className={classes.main}>
                      <MayPlanProvider mayPlan={isInstructor(who)}>{children}</MayPlanProvider>
                    </main>
                  </div>
                </div>
              )}
            </ThreadProvider>
          </LengthsProvider>
        </Styled>
      </body>
    </html>
  );
}
