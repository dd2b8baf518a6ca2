import { ChangeDetectionStrategy, Component, computed, input } from '@angular/core';
import { criteriaOf, DEFAULT_SETTINGS, MATERIALS, MISCONCEPTIONS, RUNGS, type RungId } from '@zeitpunkt/core';

/** What to know before a rung is taught: what comes before it, its words, its goal, what goes wrong, what to have at hand. */
@Component({
  selector: 'zp-rung-panel',
  changeDetection: ChangeDetectionStrategy.OnPush,
  template: `
    <h2>{{ rung().name }}</h2>
    <dl>
      <dt>Comes after</dt>
      <dd>{{ before() }}</dd>
      <dt>New words</dt>
      <dd>{{ rung().words.en.join(', ') }}</dd>
      <dt>Pupils can do it when they say</dt>
      <dd>
        @for (line of criteria(); track line) {
          <p>{{ line }}</p>
        }
      </dd>
      <dt>What often goes wrong</dt>
      <dd>
        @for (name of wrong(); track name) {
          <p>{{ name }}</p>
        }
      </dd>
      <dt>Have at hand</dt>
      <dd>
        @for (one of materials(); track one.thing.en) {
          <p>
            {{ one.thing.en }}. <span class="facts">Without it or without a printer: {{ one.otherwise.en }}</span>
          </p>
        }
      </dd>
    </dl>
  `,
  styles: `
    dl {
      margin: 0.5rem 0 0;
    }
    dt {
      color: var(--soft);
      font-size: 0.9rem;
    }
    dd {
      margin: 0 0 0.6rem;
    }
    p + p {
      margin-top: 0.2rem;
    }
  `,
})
export class RungPanel {
  readonly rungId = input.required<RungId>();
  protected readonly rung = computed(() => RUNGS[this.rungId()]);
  protected readonly before = computed(() => {
    const after = this.rung().after as RungId | null;
    return after === null ? 'nothing: it is the first' : RUNGS[after].name.toLowerCase();
  });
  protected readonly criteria = computed(() => criteriaOf(this.rung(), DEFAULT_SETTINGS));
  protected readonly wrong = computed(() => this.rung().misconceptions.map((id) => MISCONCEPTIONS[id].name));
  protected readonly materials = computed(() => this.rung().materials.map((id) => MATERIALS[id]));
}
