import { chromium } from '@playwright/test';
import config from '../playwright.config';
import { RoanServer } from '../e2e/support/roanServer';
import { benchYard, measuredDrag } from './dragBench';
const med=(v:number[],p=.5)=>[...v].sort((a,b)=>a-b)[Math.floor(v.length*p)]!;
void (async () => {
  const server = await RoanServer.start('start');
  const browser = await chromium.launch(config.use?.launchOptions ?? {});
  const url = await benchYard(server);
  for (const css of ['', '[data-testid=ribbon]{display:none!important}', '[data-kind=pole]{display:none}', '[class*=reading]{display:none!important}', '[data-layer=still]{display:none}','[data-layer=live]{will-change:transform} [data-layer=still]{will-change:transform}','.mantine-Group-root{display:none!important}']) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(url); await page.locator('[data-drawn="f7"]').waitFor(); await page.waitForTimeout(1200);
  if (css) await page.addStyleTag({content: css});
  const s = await page.context().newCDPSession(page);
  await s.send('Performance.enable');
  const m=async()=>Object.fromEntries((await s.send('Performance.getMetrics')).metrics.map(x=>[x.name,x.value]));
  const a=await m(); let r:any; try { r = await measuredDrag(page, s);} catch(e){console.log(css,'failed',String(e).slice(0,80)); await page.close(); continue;} const b=await m();
  const d=(n:string)=>((b[n]!-a[n]!)*1000/270).toFixed(2);
  console.log(css.slice(0,40).padEnd(42),'work',med(r.workMs).toFixed(1),med(r.workMs,.95).toFixed(1),'int',med(r.intervalMs).toFixed(1),med(r.intervalMs,.95).toFixed(1),'script',d('ScriptDuration'),'layout',d('LayoutDuration'),'style',d('RecalcStyleDuration'),'task',d('TaskDuration'));
  await page.close(); }
  await browser.close(); await server.stop();
})();
