<template><p>patterns</p></template>
