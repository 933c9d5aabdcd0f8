<script setup lang="ts">
import MatrixPhase from '~/screens/MatrixPhase.vue'
</script>

<template><MatrixPhase phase="as-left" /></template>
