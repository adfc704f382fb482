<script lang="ts">
  import { ask, fieldsOf, sentence } from '../api/client';
  import { me } from '../app/session.svelte';
  import Button from '../ui/Button.svelte';
  import Field from '../ui/Field.svelte';

  /** A contact by hand. */
  let { onadded }: { onadded: () => void } = $props();
  let values = $state({ first_name: '', last_name: '' });
  let email = $state('');
  let wrong = $state<Record<string, string>>({});

  async function add(event: SubmitEvent) {
    event.preventDefault();
    try {
      const body = { values: { ...values, owner: me().id }, email };
      await ask('post', '/api/records/{kind}', { params: { kind: 'contact' }, body });
      onadded();
    } catch (failure) {
      wrong = fieldsOf(failure);
      if (!Object.keys(wrong).length) wrong = { last_name: sentence(failure) };
    }
  }
</script>

<form onsubmit={add}>
  <div>
    <Field label="First name" bind:value={values.first_name} error={wrong.first_name} />
    <Field label="Surname" required bind:value={values.last_name} error={wrong.last_name} />
    <Field label="E-mail" bind:value={email} error={wrong.email} />
  </div>
  <Button main type="submit">Add contact</Button>
</form>

<style>
  div {
    display: grid;
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0 14px;
    max-width: 820px;
  }

  @media (width <= 700px) {
    div {
      grid-template-columns: minmax(0, 1fr);
    }
  }
</style>
