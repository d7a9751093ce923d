// Shows the description of the interface; requests made from the page carry the header that writes need.
SwaggerUIBundle({
  url: '/api/openapi.yaml',
  dom_id: '#interface',
  deepLinking: true,
  defaultModelsExpandDepth: 0,
  docExpansion: 'list',
  requestInterceptor: (request) => {
    request.headers['X-Nimble-Eyelet'] = '1';
    return request;
  },
});
