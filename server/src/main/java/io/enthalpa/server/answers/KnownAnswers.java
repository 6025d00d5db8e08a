package io.enthalpa.server.answers;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;

/**
 * Answers given before: a reload, an undo, a second window and a copy of a build ask the same again. An answer comes of its document alone, so none grows
 * old; the least asked for make room.
 */
@Component
class KnownAnswers {
    /** A duty's answer takes some 200 kB. */
    private static final int MOST = 120;

    /** @param document digest of it @param what is asked about it */
    private record Question(String document, String what) {}

    private final Cache<Question, Object> answers =
            Caffeine.newBuilder().maximumSize(MOST).build();

    /** @return what is known about a document, read through once for all that is asked about it */
    About about(JsonNode document) {
        return new About(DocumentDigest.of(document));
    }

    /** What is known about one document. */
    final class About {
        private final String document;

        private About(String document) {
            this.document = document;
        }

        /**
         * @param what is asked, with all that the answer hangs on beside the document
         * @param find the answer where it is not known; what it throws is not kept
         */
        <T> T or(String what, Class<T> type, Supplier<T> find) {
            Question question = new Question(document, what);
            Object known = answers.getIfPresent(question);
            if (known != null) {
                return type.cast(known);
            }
            T found = find.get();
            answers.put(question, found);
            return found;
        }
    }
}
