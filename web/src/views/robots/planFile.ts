import type { Plan } from '@rough-gear/core';

/** Offers the plan as a file, named by the robot. */
export function downloadPlan(plan: Plan): void {
  const url = URL.createObjectURL(new Blob([`${JSON.stringify(plan, null, 2)}\n`], { type: 'application/json' }));
  const link = document.createElement('a');
  link.href = url;
  link.download = `${
    plan.name
      .toLowerCase()
      .replace(/[^a-z0-9]+/g, '-')
      .replace(/^-|-$/g, '') || 'plan'
  }.rough-gear.json`;
  link.click();
  URL.revokeObjectURL(url);
}

/** Reads a chosen file; the schema is loaded only now, since nothing else in the browser needs it. */
export async function readPlanFile(file: File): Promise<{ ok: true; plan: Plan } | { ok: false; reason: string }> {
  const { problemText, readPlanText } = await import('@rough-gear/contract/plan');
  const read = readPlanText(await file.text());
  return read.ok ? read : { ok: false, reason: problemText(read.problems) };
}
