<script lang="ts">
  import type { Answer, Server } from '../keep/server';
  import type { ReleaseDay, TrainingDays } from '../types';
  import Sheet from './Sheet.svelte';

  interface Props {
    server: Server;
    days: ReleaseDay[];
  }

  let { server, days }: Props = $props();
  let open = $state(false);
  let found = $state<TrainingDays | null>(null);
  let said = $state('');
  const week = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'] as const;
  const address = $derived(found?.address ? location.origin + found.address : null);

  function take(answer: Answer<TrainingDays>, done: string): void {
    if (answer.kind === 'done') {
      found = answer.value;
      said = done;
    } else said = answer.kind === 'refused' ? answer.why : 'No net: try again when there is one.';
  }

  async function show(): Promise<void> {
    [open, said] = [true, ''];
    take(await server.days(), '');
  }

  /** One time a day of the plan; without one the day is not in the calendar. */
  const timeOf = (day: number): TrainingDays['times'][number] | undefined =>
    found?.times.find((t) => t.day === day);

  async function choose(day: number, weekday: string, at: string): Promise<void> {
    if (!found) return;
    const others = found.times.filter((t) => t.day !== day);
    const times = weekday
      ? [...others, { day, weekday: weekday as TrainingDays['times'][number]['weekday'], at: `${at}:00` }]
      : others;
    take(await server.choose(times), 'Kept. Calendars that subscribed follow within hours.');
  }

  async function copy(): Promise<void> {
    if (!address) return;
    try {
      await navigator.clipboard.writeText(address);
      said = 'The address is copied. Add it in your calendar as a subscription.';
    } catch {
      said = address;
    }
  }
</script>

<button class="plain px-0" onclick={() => void show()}>My training days</button>
{#if open}
  <Sheet title="My training days" onclose={() => (open = false)}>
    {#if found}
      <ul class="mt-2 grid gap-3">
        {#each days as day, i (i)}
          {@const time = timeOf(i)}
          <li class="grid gap-1">
            <span class="font-semibold">{day.name || `Day ${i + 1}`}</span>
            <span class="flex gap-2">
              <select
                class="tap flex-1"
                aria-label="Day of the week for {day.name || `day ${i + 1}`}"
                value={time?.weekday ?? ''}
                onchange={(e) => void choose(i, e.currentTarget.value, time?.at.slice(0, 5) ?? '18:00')}
              >
                <option value="">not in the calendar</option>
                {#each week as weekday (weekday)}<option value={weekday}>{weekday}</option>{/each}
              </select>
              <input
                class="tap figures"
                type="time"
                aria-label="Time for {day.name || `day ${i + 1}`}"
                disabled={!time}
                value={time?.at.slice(0, 5) ?? '18:00'}
                onchange={(e) =>
                  time && e.currentTarget.value && void choose(i, time.weekday, e.currentTarget.value)}
              />
            </span>
          </li>
        {/each}
      </ul>
      {#if address}
        <div class="mt-4 grid gap-2">
          <a class="tap" href={address} download="training.ics">Put it into my calendar</a>
          <button class="tap" onclick={() => void copy()}>Copy the address to subscribe to</button>
        </div>
      {/if}
    {/if}
    <p class="mt-2 min-h-6 break-all" role="status">{said}</p>
  </Sheet>
{/if}
