package ample.ledger.web.words;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IsolatedTest {

    /** Here ⟨ and ⟩ stand for the isolate and its end. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Sluice Hall 204|Sluice Hall 204",
                "Łucja Ćwiek|Łucja Ćwiek",
                "دار المدّ|⟨دار المدّ⟩",
                "at دار المدّ 3 now|at ⟨دار المدّ⟩ 3 now",
                "دار المدّ, المرفأ|⟨دار المدّ⟩, ⟨المرفأ⟩",
                "قاعة 3 كبيرة|⟨قاعة 3 كبيرة⟩",
                "نجم.110 نجوم|⟨نجم.110 نجوم⟩",
                "دار المدّ م٢|⟨دار المدّ م٢⟩",
                "Needs مع HYD.204b أو بعده.|Needs ⟨مع HYD.204b أو بعده⟩.",
            })
    void namesFromRightToLeftStayTogether(String text, String isolated) {
        assertThat(Isolated.of(text).toString().replace('\u2068', '⟨').replace('\u2069', '⟩'))
                .isEqualTo(isolated);
    }
}
