import { chromium } from '@playwright/test';
const b=await chromium.launch({executablePath:'/usr/bin/chromium',args:['--no-sandbox','--disable-gpu']});
const A='http://127.0.0.1:4899';
async function as(name,opts){ const c=await b.newContext({viewport:{width:390,height:844},hasTouch:true,deviceScaleFactor:2,timezoneId:'Europe/Vienna',baseURL:A,...opts}); const p=await c.newPage(); await p.goto('/'); await p.getByRole('button',{name}).click(); await p.getByTestId('sent-mark').waitFor(); await p.waitForTimeout(1500); return p; }
const p=await as('Ines Okafor'); await p.screenshot({path:'/tmp/s-shift.png'});
await p.getByText('Gearbox output seal weeping oil').tap(); await p.waitForTimeout(2500); await p.screenshot({path:'/tmp/s-prepare.png'});
await p.goto('/plant/past/lark-gearbox'); await p.waitForTimeout(2500); await p.screenshot({path:'/tmp/s-past.png'});
await p.getByRole('link',{name:/failures in 3 years/}).tap(); await p.waitForTimeout(1000); await p.screenshot({path:'/tmp/s-past-opened.png'});
await p.goto('/shift'); await p.getByRole('button',{name:'Me',exact:true}).tap(); await p.waitForTimeout(600); await p.screenshot({path:'/tmp/s-me.png'});
await p.getByRole('button',{name:'My devices'}).tap(); await p.waitForTimeout(1200); await p.screenshot({path:'/tmp/s-devices.png'});
const t=await as('Tess Lindqvist'); await t.goto('/plant/lark-gearbox'); await t.waitForTimeout(2000); await t.screenshot({path:'/tmp/s-machine.png'});
await t.evaluate(()=>document.querySelector('[role=main]')?.scrollTo(0,1e6)); await t.waitForTimeout(500); await t.screenshot({path:'/tmp/s-machine2.png'});
const w=await as('Tess Lindqvist',{viewport:{width:1280,height:800},hasTouch:false,deviceScaleFactor:1}); await w.goto('/desk'); await w.waitForTimeout(1500); await w.screenshot({path:'/tmp/s-desk.png'});
await b.close();
