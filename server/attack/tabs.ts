import { setTimeout as sleep } from 'node:timers/promises';
import { etagOf, type ProblemDetails, type StoredPlan } from '@rough-gear/contract';
import type { Attack } from './attack.js';
import { heron, newFolder, savedIn, Target } from './server.js';

type Stored = Pick<StoredPlan, 'revision' | 'document'>;

/** The server that answers now: it is killed and started again while both tabs save. */
interface Service {
  target: Target;
}

/** What was written in a plan, a word for each change. */
const wordsOf = ({ document }: Stored): readonly string[] =>
  (document.note ?? '').split(' ').filter((word) => word !== '');

/**
 * One tab: it writes on from what it knows, and knows its own save again of which no answer came. Where the other one was
 * faster, a person puts both versions together.
 */
class Tab {
  readonly written: string[] = [];
  private readonly unanswered = new Set<string>();
  /** Saves that somebody else stood in the way of, and own ones that were found again. */
  clashes = 0;
  foundAgain = 0;

  constructor(
    private readonly service: Service,
    private readonly id: string,
    private base: Stored,
    private note = base.document.note ?? '',
  ) {}

  write(word: string): void {
    this.written.push(word);
    this.note = `${this.note} ${word}`.trim();
  }

  /** Until it is home; of some saves the answer is not waited for. */
  async bringHome(): Promise<void> {
    let problem: unknown;
    for (let times = 0; times < 500; times++)
      try {
        if (await this.tryHome(Math.random() < 0.4 ? Math.ceil(Math.random() * 60) : 5000)) return;
      } catch (away) {
        problem = away;
        await sleep(20);
      }
    throw new Error('a change does not come home', { cause: problem });
  }

  private async tryHome(patience: number): Promise<boolean> {
    const document = { ...this.base.document, note: this.note };
    const before = [...this.unanswered];
    this.unanswered.add(this.note);
    const answer = await fetch(`${this.service.target.url}/api/plans/${this.id}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json', 'If-Match': etagOf(this.base.revision) },
      body: JSON.stringify(document),
      signal: AbortSignal.timeout(patience),
    });
    if (answer.status === 200) {
      this.base = { revision: (await savedIn(answer)).revision, document };
      this.unanswered.clear();
      return true;
    }
    const { stored } = (await answer.json()) as ProblemDetails;
    if (answer.status !== 412 || !stored) throw new Error(`a save was answered with ${answer.status}`);
    this.base = stored;
    if (before.includes(stored.document.note ?? '')) this.foundAgain++;
    else {
      this.clashes++;
      const there = new Set(wordsOf(stored));
      const mine = this.note.split(' ').filter((word) => !there.has(word));
      this.note = [...there, ...mine].join(' ');
    }
    this.unanswered.clear();
    return false;
  }
}

/** Two tabs change one plan, answers are lost on their way, and the server is killed: no change of either is gone. */
export const tabs: Attack = {
  name: 'two tabs on one plan',
  aims: 'a tab saves over what the other one saved',
  async run(scale) {
    // A note has room for some 250 words.
    const [rounds, each] = scale === 'long' ? [20, 6] : [4, 4];
    const service: Service = { target: await Target.start(newFolder()) };
    const { folder } = service.target;
    const stored = await service.target.create({ ...heron, note: '', mechanisms: heron.mechanisms.slice(0, 1) });
    const both = [new Tab(service, stored.id, stored), new Tab(service, stored.id, stored)];
    for (let round = 0; round < rounds; round++) {
      // In turn alone, so that a save without an answer is found again, and both at once.
      const saving = both.map(async (tab, i) => {
        if (round % 3 === i) return;
        for (let n = 0; n < each; n++) {
          tab.write(`${'AB'[i]}${round}.${n}`);
          await tab.bringHome();
        }
      });
      if (round % 2 === 1) {
        await sleep(10 + Math.random() * 60);
        await service.target.end('SIGKILL');
        service.target = await Target.start(folder);
      }
      await Promise.all(saving);
    }
    const kept = await service.target.get<StoredPlan>(`/plans/${stored.id}`);
    await service.target.dispose();
    const words = wordsOf(kept);
    const there = new Set(words);
    const written = both.flatMap((tab) => tab.written);
    const lost = written.filter((word) => !there.has(word));
    const of = (what: 'clashes' | 'foundAgain'): number => both.reduce((sum, tab) => sum + tab[what], 0);
    const broken = [
      ...(lost.length > 0 ? [`${lost.length} of ${written.length} changes are gone`] : []),
      ...(scale === 'long' && of('foundAgain') === 0 ? ['no answer was lost'] : []),
      ...(words.length > there.size ? [`${words.length - there.size} changes are there twice`] : []),
    ];
    return {
      tried: `${written.length} changes, ${Math.floor(rounds / 2)} kills`,
      seen: `${there.size} are there; ${of('clashes')} clashes, ${of('foundAgain')} saves without an answer found again`,
      broken,
    };
  },
};
