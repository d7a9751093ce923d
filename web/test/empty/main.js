// The least a page of this framework is: bin/bench compares our pages with it.
import { mount } from 'svelte';
import Nothing from './Nothing.svelte';

mount(Nothing, { target: document.getElementById('here') });
