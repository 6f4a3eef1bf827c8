<script setup lang="ts">
import { usePreferences } from '../../stores/preferences.js';
import TextField from '../fields/TextField.vue';
import { usePhoneAddress } from './phoneAddress.js';

/** Where the codes on paper lead: asked, since the machine this is printed on may be known to phones by another name. */
const preferences = usePreferences();
const { onlyHere } = usePhoneAddress();
const here = location.origin;
</script>

<template>
  <div>
    <TextField v-model="preferences.phoneAddress" label="where phones find this program" :most="200" :hint="here" />
    <p v-if="onlyHere" class="mt-1 text-xs text-second">
      No phone can reach this: type the machine’s address in your network, or print without minding the codes.
    </p>
  </div>
</template>
