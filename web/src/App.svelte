<script lang="ts">
  import { Router } from 'sv-router';
  import './router';
  import { room } from './api/room.svelte';

  void room.load();
</script>

<Router />
