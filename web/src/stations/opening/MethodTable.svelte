<script lang="ts">
  // The methods with what each takes for granted, where it fails, and what it means on this foot.
  import type { Sheet } from '../../api/client';

  let { opening }: { opening: Sheet['opening'] } = $props();
</script>

<!-- A narrow screen scrolls it, by keys too. -->
<!-- svelte-ignore a11y_no_noninteractive_tabindex -->
<div class="overflow-x-auto" role="region" aria-label="The methods as a table" tabindex="0">
  <table class="table max-w-4xl table-sm text-base">
    <thead>
      <tr>
        <th>Method</th><th>Length</th><th>Overall</th><th>On the {opening.foot}</th><th>Slack</th><th
          >Verdict</th
        >
      </tr>
    </thead>
    <tbody>
      {#each opening.answers as answer (answer.school)}
        <tr class={answer.chosen ? 'bg-primary/15' : ''}>
          <th>{answer.name}</th>
          <td>{answer.length.text}</td>
          <td>{answer.overall.text}</td>
          <td>{answer.setting}</td>
          <td>{answer.verdict.slack.text}</td>
          <td class={answer.verdict.usable ? '' : 'font-semibold text-warning'}>{answer.verdict.words}</td>
        </tr>
        <tr>
          <td colspan="6" class="text-sm text-secondary">{answer.assumes} {answer.fails}</td>
        </tr>
      {/each}
    </tbody>
  </table>
</div>
