import { readFileSync } from 'fs';
import { findRobotMends, judgeMatch, worded, inMetric, worstOfEach } from '@rough-gear/core';
const d=JSON.parse(readFileSync('/work/main/contract/demo/heron.json','utf8')); const plan=d.document??d;
const run=(g:any)=>{let n=g.next();while(!n.done)n=g.next();return n.value};
const script=plan.scripts[0];
const match=run(judgeMatch(plan,script));
for(const rung of worstOfEach(match.rungs).slice(0,2)){
  const t=performance.now();
  const f=run(findRobotMends(plan,match,{...rung,wants:Math.max(rung.wants,rung.multiple*1.15)}));
  console.log(rung.id,rung.name,rung.multiple.toFixed(2),rung.wants,'time',rung.time,'ms',(performance.now()-t).toFixed(0),'marched',f.marched,'pairs',f.pairs);
  for(const m of f.mends) console.log('   ',worded(m.label,inMetric),m.before.toFixed(2),'->',m.after.toFixed(2),m.reaches,m.firstAfter);
}
