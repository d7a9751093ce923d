<script lang="ts">
  // The camera of this device, live, until a photo is taken.
  import { onMount } from 'svelte';

  let { taken, gone }: { taken: (file: File) => void; gone: () => void } = $props();

  let video = $state<HTMLVideoElement>();
  let stream: MediaStream | undefined;
  let fault = $state('');
  const QUALITY = 0.92;

  onMount(() => {
    let left = false;
    const wanted = { video: { facingMode: 'environment', width: { ideal: 4096 }, height: { ideal: 3072 } } };
    navigator.mediaDevices.getUserMedia(wanted).then(
      (found) => {
        stream = found;
        if (left) end();
        else if (video) video.srcObject = found;
      },
      () => (fault = 'The camera did not start. Allow it in your browser, or choose a photo.'),
    );
    return () => {
      left = true;
      end();
    };
  });

  function end(): void {
    stream?.getTracks().forEach((track) => track.stop());
  }

  function take(): void {
    if (!video?.videoWidth) return;
    const canvas = document.createElement('canvas');
    canvas.width = video.videoWidth;
    canvas.height = video.videoHeight;
    canvas.getContext('2d')?.drawImage(video, 0, 0);
    canvas.toBlob(
      (blob) => blob && taken(new File([blob], 'photo.jpg', { type: 'image/jpeg' })),
      'image/jpeg',
      QUALITY,
    );
  }
</script>

{#if fault}<p role="alert" class="text-sm font-semibold text-error">{fault}</p>{/if}
<video
  bind:this={video}
  autoplay
  playsinline
  class="block max-h-[45vh] w-full bg-base-200"
  aria-label="What the camera sees"
></video>
<div class="mt-2 flex gap-2">
  <button type="button" class="btn btn-primary" onclick={take}>Take the photo</button>
  <button type="button" class="btn btn-ghost" onclick={gone}>Close the camera</button>
</div>
