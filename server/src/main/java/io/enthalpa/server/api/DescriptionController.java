package io.enthalpa.server.api;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** What this interface offers, as OpenAPI: the committed description, which the build holds against the program. */
@RestController
class DescriptionController {
    @GetMapping(value = "/api/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
    Resource description() {
        return new ClassPathResource("api/openapi.json");
    }
}
