import { readFileSync } from 'fs';
import { findRobotMends, judgeMatch, worded, inMetric, worstOfEach, applyChanges } from '@rough-gear/core';
const d=JSON.parse(readFileSync('/work/main/contract/demo/heron.json','utf8')); const plan0=d.document??d;
const run=(g:any)=>{let n=g.next();while(!n.done)n=g.next();return n.value};
for(const every of [12,24]){
const plan=JSON.parse(JSON.stringify(plan0)); const script=plan.scripts[0];
const lane=script.lanes.find((l:any)=>l.mechanism==='lift'); lane.goes[0].when={kind:'every',time:every,from:1,to:140};
const t0=performance.now(); const match=run(judgeMatch(plan,script)); console.log('every',every,performance.now()-t0);
for(const r of match.rungs.slice(0,7)) console.log(r.id,r.name,r.multiple.toFixed(2),worded(r.sentence,inMetric));
const rung=match.rungs[0];
  const t=performance.now();
  const f=run(findRobotMends(plan,match,rung));
  console.log(rung.id,rung.name,rung.multiple.toFixed(2),rung.wants,'time',rung.time,'ms',(performance.now()-t).toFixed(0),'marched',f.marched,'pairs',f.pairs);
  for(const m of f.mends) console.log('   ',worded(m.label,inMetric),m.before.toFixed(2),'->',m.after.toFixed(2),m.reaches,m.firstAfter);
}
